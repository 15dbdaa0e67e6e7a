import { type CompanySettings, companySettingsRecord } from "@wide-porch/core";
import { type DataSource, type EntityManager, EntitySchema } from "typeorm";
import { liftedTo } from "../database/lifted";

export type Role = "owner" | "estimator" | "crew";
export const ROLES = ["owner", "estimator", "crew"] as const;

/** `demo`: the invented one that a demonstration begins with. */
export type CompanyRow = { id: string; name: string; settings: CompanySettings; demo: boolean };

export const companyEntity = new EntitySchema<CompanyRow>({
  name: "company",
  columns: {
    id: { type: "char", length: 36, primary: true },
    name: { type: "varchar", length: 160 },
    settings: { type: "json", transformer: liftedTo(companySettingsRecord) },
    demo: { type: "boolean" },
  },
});

export type UserRow = {
  id: string;
  companyId: string;
  email: string;
  name: string;
  role: Role;
  /** Empty for somebody whose data was taken out. */
  passwordHash: string;
  /** When they were taken out of the company; null for those who are in. */
  leftAt: Date | null;
  /** Whether they have shown that letters to the address reach them: until then none with a link goes there. */
  addressConfirmed: boolean;
};

export const userEntity = new EntitySchema<UserRow>({
  name: "user",
  columns: {
    id: { type: "char", length: 36, primary: true },
    companyId: { type: "char", length: 36 },
    // Told apart by its bytes.
    email: { type: "varchar", length: 190, unique: true, collation: "utf8mb4_nopad_bin" },
    name: { type: "varchar", length: 160 },
    role: { type: "varchar", length: 20 },
    passwordHash: { type: "varchar", length: 255 },
    leftAt: { type: "datetime", precision: 3, nullable: true },
    addressConfirmed: { type: "boolean", default: true },
  },
});

/** A company by its id. */
export const companyOf = (source: DataSource | EntityManager, id: string): Promise<CompanyRow> =>
  source.getRepository(companyEntity).findOneByOrFail({ id });

/**
 * A company locked until the transaction ends. Its row is written, not only read: of two servers over two nodes of a cluster, which do not
 * see each other's locks, one is then refused as it commits, and does the same again.
 */
export async function lockCompany(manager: EntityManager, id: string): Promise<CompanyRow> {
  await manager.query("UPDATE company SET changes = changes + 1 WHERE id = ?", [id]);
  return companyOf(manager, id);
}
