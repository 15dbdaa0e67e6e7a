import { type Job, jobRecord } from "@wide-porch/core";
import { EntitySchema } from "typeorm";
import { liftedTo } from "../database/lifted";

export type JobRow = {
  id: string;
  companyId: string;
  revision: number;
  /** Goes up by one with each change of the job or of one of its parts. */
  changeNumber: number;
  data: Job;
  createdAt: Date;
  updatedAt: Date;
  /** When it was deleted, and by whom; null for one that is there. It can be brought back for some weeks. */
  binnedAt: Date | null;
  binnedBy: string | null;
};

export const jobEntity = new EntitySchema<JobRow>({
  name: "job",
  columns: {
    id: { type: "char", length: 36, primary: true },
    companyId: { type: "char", length: 36 },
    revision: { type: "int" },
    changeNumber: { type: "int" },
    data: { type: "json", transformer: liftedTo(jobRecord) },
    createdAt: { type: "datetime", precision: 3 },
    updatedAt: { type: "datetime", precision: 3 },
    binnedAt: { type: "datetime", precision: 3, nullable: true },
    binnedBy: { type: "char", length: 36, nullable: true },
  },
});

/** A change that was carried out, and its answer, so that the same change sent twice counts once. */
export type CommandRow = {
  companyId: string;
  id: string;
  target: string;
  kind: CommandKind;
  /** Who made it: its answer is for nobody else. */
  userId: string;
  answer: unknown;
  createdAt: Date;
};

export type CommandKind =
  | "patch-job"
  | "put-part"
  | "bin-part"
  | "set-aside"
  | "issue-quote"
  | "start-job"
  | "copy-job"
  | "bring-in-job"
  | "save-assembly"
  | "save-standard"
  | "make-item"
  | "change-item"
  | "take-prices"
  | "undo-prices"
  | "bin-job"
  | "restore-job";

export const commandEntity = new EntitySchema<CommandRow>({
  name: "command",
  columns: {
    companyId: { type: "char", length: 36, primary: true },
    id: { type: "char", length: 36, primary: true },
    target: { type: "char", length: 36 },
    kind: { type: "varchar", length: 20 },
    userId: { type: "char", length: 36 },
    answer: { type: "json" },
    createdAt: { type: "datetime", precision: 3 },
  },
});
