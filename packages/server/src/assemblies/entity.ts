import { type Assembly, assemblyRecord, type HouseStandard, type RecordKind, standardRecord } from "@wide-porch/core";
import { EntitySchema } from "typeorm";
import { liftedTo } from "../database/lifted";

/** One version of something a company builds by. Versions never change; the newest is what new work takes. */
type VersionRow<T> = {
  companyId: string;
  system: string;
  id: string;
  version: number;
  data: T;
  /** Put away: no new work takes it, and work that has it keeps it. The same on every version. */
  retired: boolean;
  createdAt: Date;
  createdBy: string | null;
};

/** What its worked examples and formulas came to when the version was saved. */
export type AssemblyResults = { readonly failingExamples: number; readonly problems: number };

export type AssemblyRow = VersionRow<Assembly> & { results: AssemblyResults | null };
export type StandardRow = VersionRow<HouseStandard>;

const columns = <T>(kind: RecordKind<T>) =>
  ({
    companyId: { type: "char", length: 36, primary: true },
    system: { type: "varchar", length: 10, primary: true },
    id: { type: "varchar", length: 60, primary: true },
    version: { type: "int", primary: true },
    data: { type: "json", transformer: liftedTo(kind) },
    retired: { type: "boolean" },
    createdAt: { type: "datetime", precision: 3 },
    createdBy: { type: "char", length: 36, nullable: true },
  }) as const;

export const assemblyEntity = new EntitySchema<AssemblyRow>({
  name: "assembly",
  columns: { ...columns(assemblyRecord), results: { type: "json", nullable: true } },
});
export const standardEntity = new EntitySchema<StandardRow>({
  name: "house_standard",
  columns: columns(standardRecord),
});
