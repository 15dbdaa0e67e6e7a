import { jobChangesSchema, partSchema, readPart } from "@wide-porch/core";
import { z } from "zod";

const base = {
  commandId: z.string(),
  jobId: z.string(),
  /** The record it changes: a part's id, a photo's, or the job's. */
  target: z.string(),
  baseRevision: z.number(),
  /** By the device's clock; only the time since then is sent, so that a wrong clock does no harm. */
  madeAt: z.number(),
};

/** A change made here that the server has not confirmed. Kept on the device until it has. */
export const commandSchema = z.discriminatedUnion("kind", [
  /** `before` is the part as the server had it when the change was begun: what both versions of a conflict started from. */
  z.object({ ...base, kind: z.literal("put-part"), part: partSchema, before: partSchema.nullable() }),
  z.object({ ...base, kind: z.literal("bin-part") }),
  z.object({ ...base, kind: z.literal("patch-job"), changes: jobChangesSchema }),
  /** A version that was not chosen, for the part's history. */
  z.object({ ...base, kind: z.literal("set-aside"), part: partSchema }),
  /** The picture itself lies on the device under its id. */
  z.object({ ...base, kind: z.literal("put-photo") }),
]);
export type Command = z.infer<typeof commandSchema>;

type PlainRecord = Record<string, unknown>;
const isRecord = (value: unknown): value is PlainRecord => typeof value === "object" && value !== null;

/** A part of an earlier version as it is now; any other thing as it is, for the schema to refuse. */
function lifted(part: unknown): unknown {
  const found = readPart(part);
  return found.ok ? found.value : part;
}

/** A command as kept on the device, perhaps by an earlier version of the app. Undefined for one that this program does not know. */
export function readCommand(kept: unknown): Command | undefined {
  const raw =
    isRecord(kept) && "part" in kept ? { ...kept, part: lifted(kept.part), before: lifted(kept.before) } : kept;
  const read = commandSchema.safeParse(raw);
  return read.success ? read.data : undefined;
}

/** What was to be sent is no longer on the device: the browser has thrown it away. */
export class Gone extends Error {}

/** Why a command waits for a person: the record moved on, the server would not have it, or there is nothing left to send. */
export type Stuck = {
  readonly command: Command;
  readonly reason: "conflict" | "refused" | "gone";
  readonly message: string;
  readonly current: unknown;
};
