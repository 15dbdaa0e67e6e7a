import { jobSchema, partSchema } from "@wide-porch/core";
import { z } from "zod";

const base = {
  commandId: z.string(),
  jobId: z.string(),
  /** The record it changes: a part's id, or the job's. */
  target: z.string(),
  baseRevision: z.number(),
};

export const jobChangesSchema = jobSchema
  .pick({ title: true, customerName: true, site: true, pricing: true, quote: true })
  .partial();
export type JobChanges = z.infer<typeof jobChangesSchema>;

/** A change made here that the server has not confirmed. Kept on the device until it has. */
export const commandSchema = z.discriminatedUnion("kind", [
  z.object({ ...base, kind: z.literal("put-part"), part: partSchema }),
  z.object({ ...base, kind: z.literal("bin-part") }),
  z.object({ ...base, kind: z.literal("patch-job"), changes: jobChangesSchema }),
]);
export type Command = z.infer<typeof commandSchema>;

/** Why a command waits for a person: the record moved on, or the server would not have it. */
export type Stuck = {
  readonly command: Command;
  readonly reason: "conflict" | "refused";
  readonly message: string;
  readonly current: unknown;
};
