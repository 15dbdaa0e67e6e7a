import { type Part, readStoredPart } from "@wide-porch/core";
import { EntitySchema } from "typeorm";
import { liftedBy } from "../database/lifted";

/** One part of a job: the unit of editing. In the bin when `binnedAt` is set. */
export type PartRow = {
  id: string;
  companyId: string;
  jobId: string;
  revision: number;
  /** The job's change that it was last changed by. */
  changeNumber: number;
  /** Place in the job's list, in the order the parts were made. */
  place: number;
  data: Part;
  updatedAt: Date;
  updatedBy: string;
  binnedAt: Date | null;
};

export const partEntity = new EntitySchema<PartRow>({
  name: "part",
  columns: {
    id: { type: "char", length: 36, primary: true },
    companyId: { type: "char", length: 36 },
    jobId: { type: "char", length: 36 },
    revision: { type: "int" },
    changeNumber: { type: "int" },
    place: { type: "int" },
    data: { type: "json", transformer: liftedBy(readStoredPart) },
    updatedAt: { type: "datetime", precision: 3 },
    updatedBy: { type: "char", length: 36 },
    binnedAt: { type: "datetime", precision: 3, nullable: true },
  },
});

/** How a version came about: saved, put in the bin, or set aside when somebody chose another. */
export const VERSION_WAYS = ["saved", "binned", "set-aside"] as const;
export type VersionWay = (typeof VERSION_WAYS)[number];

/** A part as it was: nothing that anybody entered is ever gone. */
export type PartVersionRow = {
  id: string;
  companyId: string;
  jobId: string;
  partId: string;
  revision: number;
  how: VersionWay;
  data: Part;
  at: Date;
  byUserId: string;
};

export const partVersionEntity = new EntitySchema<PartVersionRow>({
  name: "part_version",
  columns: {
    id: { type: "bigint", primary: true, generated: true },
    companyId: { type: "char", length: 36 },
    jobId: { type: "char", length: 36 },
    partId: { type: "char", length: 36 },
    revision: { type: "int" },
    how: { type: "varchar", length: 20 },
    data: { type: "json", transformer: liftedBy(readStoredPart) },
    at: { type: "datetime", precision: 3 },
    byUserId: { type: "char", length: 36 },
  },
});
