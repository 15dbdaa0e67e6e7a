import type { Assembly, HouseStandard } from "@wide-porch/core";
import { EntitySchema } from "typeorm";

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

export type AssemblyRow = VersionRow<Assembly>;
export type StandardRow = VersionRow<HouseStandard>;

const versioned = <T extends object>(name: string) =>
  new EntitySchema<VersionRow<T>>({
    name,
    columns: {
      companyId: { type: "char", length: 36, primary: true },
      system: { type: "varchar", length: 10, primary: true },
      id: { type: "varchar", length: 60, primary: true },
      version: { type: "int", primary: true },
      data: { type: "json" },
      retired: { type: "boolean" },
      createdAt: { type: "datetime", precision: 3 },
      createdBy: { type: "char", length: 36, nullable: true },
    },
  });

export const assemblyEntity = versioned<Assembly>("assembly");
export const standardEntity = versioned<HouseStandard>("house_standard");
