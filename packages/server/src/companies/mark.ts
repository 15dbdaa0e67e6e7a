import { EntitySchema } from "typeorm";

/** A company's mark, as it was: one that an issued quote shows is kept when there is another. */
export type CompanyMarkRow = { id: string; companyId: string; contentType: string; bytes: Buffer; createdAt: Date };

export const companyMarkEntity = new EntitySchema<CompanyMarkRow>({
  name: "company_mark",
  columns: {
    id: { type: "char", length: 36, primary: true },
    companyId: { type: "char", length: 36 },
    contentType: { type: "varchar", length: 40 },
    bytes: { type: "mediumblob" },
    createdAt: { type: "datetime", precision: 3 },
  },
});
