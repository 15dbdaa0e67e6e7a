import type { Part } from "@wide-porch/core";
import equal from "fast-deep-equal";
import { jobRecordSchema, type PartRecord, partRecordSchema } from "../api/records";
import type { Command, Stuck } from "./command";
import { newId } from "./newId";
import type { Confirmed } from "./send";

/** A part that was changed here and elsewhere: both versions, and what both started from. */
export type PartConflict = {
  readonly base: Part | undefined;
  readonly mine: Part;
  readonly theirs: PartRecord;
};

export type Decision = { readonly commands: readonly Command[]; readonly current: Confirmed | undefined };

/** The newest of what waits for the record is this device's version. */
export function partConflict(stuck: Stuck, waiting: readonly Command[]): PartConflict | undefined {
  const theirs = partRecordSchema.safeParse(stuck.current);
  const own = waiting.filter((each) => each.target === stuck.command.target && each.kind === "put-part");
  const last = own[own.length - 1];
  const first = own[0];
  if (stuck.reason !== "conflict" || !theirs.success || last?.kind !== "put-part") return undefined;
  const base = first?.kind === "put-part" ? (first.before ?? undefined) : undefined;
  return { base, mine: last.part, theirs: theirs.data };
}

const fresh = ({ command }: Stuck, baseRevision: number) => ({
  commandId: newId(),
  jobId: command.jobId,
  target: command.target,
  baseRevision,
  madeAt: Date.now(),
});

/** What a person made of the two versions. This device's own goes into the history when it is not the one chosen. */
export function settledPart(stuck: Stuck, { mine, theirs }: PartConflict, chosen: Part): Decision {
  const current: Confirmed = { revision: theirs.revision, part: theirs };
  const shared = fresh(stuck, theirs.revision);
  const aside: Command[] = equal(mine, chosen)
    ? []
    : [{ ...shared, commandId: newId(), kind: "set-aside", part: mine }];
  if (!theirs.binned && equal(theirs.part, chosen)) return { commands: aside, current };
  return { commands: [...aside, { ...shared, kind: "put-part", part: chosen, before: theirs.part }], current };
}

/** The other side put it in the bin, and there it stays; what was changed here goes into the history. */
export function leftInBin(stuck: Stuck, { mine, theirs }: PartConflict): Decision {
  const shared = fresh(stuck, theirs.revision);
  return {
    commands: [{ ...shared, kind: "set-aside", part: mine }],
    current: { revision: theirs.revision, part: theirs },
  };
}

/** For what has no fields to choose between: the job's own record, and binning a part that was changed meanwhile. */
export function settledWhole(stuck: Stuck, waiting: readonly Command[], choice: "mine" | "theirs"): Decision {
  const current = currentOf(stuck.current);
  if (choice === "theirs" || current?.revision === undefined) return { commands: [], current };
  const { revision } = current;
  const own = waiting.filter((each) => each.target === stuck.command.target);
  return { commands: own.map((each) => ({ ...each, commandId: newId(), baseRevision: revision })), current };
}

/** Changes that the server would not have are let go; a part's versions still go into its history. */
export function letGo(stuck: Stuck, waiting: readonly Command[]): Decision {
  const own = waiting.filter((each) => each.target === stuck.command.target);
  const asides = own.flatMap((each): Command[] => {
    const kept = each.kind === "put-part" && each.baseRevision > 0;
    return kept ? [{ ...fresh(stuck, each.baseRevision), kind: "set-aside", part: each.part }] : [];
  });
  return { commands: asides, current: undefined };
}

function currentOf(current: unknown): Confirmed | undefined {
  const part = partRecordSchema.safeParse(current);
  if (part.success) return { revision: part.data.revision, part: part.data };
  const job = jobRecordSchema.safeParse(current);
  return job.success ? { revision: job.data.revision, job: job.data } : undefined;
}
