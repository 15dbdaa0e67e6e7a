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
};

export const userEntity = new EntitySchema<UserRow>({
  name: "user",
  columns: {
    id: { type: "char", length: 36, primary: true },
    companyId: { type: "char", length: 36 },
    email: { type: "varchar", length: 190, unique: true },
    name: { type: "varchar", length: 160 },
    role: { type: "varchar", length: 20 },
    passwordHash: { type: "varchar", length: 255 },
    leftAt: { type: "datetime", precision: 3, nullable: true },
  },
});

/** A company by its id; locked until the transaction ends where it is to be changed. */
export const companyOf = (source: DataSource | EntityManager, id: string, lock?: { mode: "pessimistic_write" }) =>
  source.getRepository(companyEntity).findOneOrFail({ where: { id }, ...(lock ? { lock } : {}) });
