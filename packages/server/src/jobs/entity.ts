import type { Job } from "@wide-porch/core";
import { EntitySchema } from "typeorm";

export type JobRow = {
  id: string;
  companyId: string;
  revision: number;
  data: Job;
  createdAt: Date;
  updatedAt: Date;
};

export const jobEntity = new EntitySchema<JobRow>({
  name: "job",
  columns: {
    id: { type: "char", length: 36, primary: true },
    companyId: { type: "char", length: 36 },
    revision: { type: "int" },
    data: { type: "json" },
    createdAt: { type: "datetime", precision: 3 },
    updatedAt: { type: "datetime", precision: 3 },
  },
});

/** A change that was carried out, and its answer, so that the same change sent twice counts once. */
export type CommandRow = { companyId: string; id: string; target: string; answer: unknown; createdAt: Date };

export const commandEntity = new EntitySchema<CommandRow>({
  name: "command",
  columns: {
    companyId: { type: "char", length: 36, primary: true },
    id: { type: "char", length: 36, primary: true },
    target: { type: "char", length: 36 },
    answer: { type: "json" },
    createdAt: { type: "datetime", precision: 3 },
  },
});
