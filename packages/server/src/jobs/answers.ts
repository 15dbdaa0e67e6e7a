import { jobSchema, type Part, partSchema, withoutRates } from "@wide-porch/core";
import { z } from "zod";
import type { Role } from "../companies/entity";
import { isKnown } from "../database/lifted";
import { seesCosts } from "../http/endpoint";
import type { PartRow } from "../parts/entity";
import type { JobRow } from "./entity";

/** A job as answered: pricing is null for people who do not see costs. */
export const jobAnswerSchema = z
  .object({
    id: z.string(),
    revision: z.int(),
    updatedAt: z.iso.datetime(),
    job: jobSchema.extend({ pricing: jobSchema.shape.pricing.nullable() }),
  })
  .meta({ id: "Job" });

/** A part of a kind or version that the server does not know is passed on as it is. */
export const partAnswerSchema = z
  .object({ id: z.string(), revision: z.int(), binned: z.boolean(), part: partSchema })
  .meta({ id: "PartRevision" });
export type PartAnswer = { id: string; revision: number; binned: boolean; part: Part };

export const jobAnswer = (row: JobRow, role: Role) => ({
  id: row.id,
  revision: row.revision,
  updatedAt: row.updatedAt.toISOString(),
  job: !isKnown(row) ? barely(row.data) : seesCosts(role) ? row.data : withoutCosts(row.data),
});

const withoutCosts = (job: JobRow["data"]) => ({ ...withoutRates(job), pricing: null });

/** Of a job of another version nobody here knows where its costs are: its name and its customer's, and no more. */
const barely = ({ schemaVersion, title, customerName }: JobRow["data"]) =>
  ({ schemaVersion, title, customerName }) as unknown as JobRow["data"];

export const partAnswer = (row: PartRow): PartAnswer => ({
  id: row.id,
  revision: row.revision,
  binned: row.binnedAt !== null,
  part: row.data,
});
