import type { JobChanges } from "@wide-porch/core";
import type { FullJob } from "../api/records";
import type { Outbox } from "../sync/outbox";
import { withPending } from "../sync/overlay";
import type { DeviceReckoning } from "../worker/reckon.worker";
import { commandsFor } from "./commands";
import type { Change, Step } from "./history";

/** Changes that are tried and not made: they are on this screen alone until they are taken. */
export type Trial = { readonly steps: readonly Step[]; readonly before: DeviceReckoning | undefined };

/** The job with what is tried in it. */
export const withTrial = (full: FullJob, { steps }: Trial, sent: Pick<Outbox, "lastRevision">): FullJob =>
  steps.reduce((now, step) => withPending(now, commandsFor(step, now, sent)), full);

type PartChange = Extract<Change, { kind: "part" }>;
type JobChange = Extract<Change, { kind: "job" }>;

const partOverPart = (first: PartChange, last: PartChange): PartChange => ({ ...last, before: first.before });

/** What each field was before any of them, and is after all. */
const jobOverJob = (first: JobChange, last: JobChange): JobChange => {
  const before: JobChanges = { ...last.before, ...first.before };
  return { kind: "job", before, after: { ...first.after, ...last.after } };
};

/** All that was tried as one step: one change for each record, from what it was at first to what it is at last. */
export function asOneStep(steps: readonly Step[]): Step {
  const parts = new Map<string, PartChange>();
  let job: JobChange | undefined;
  for (const change of steps.flatMap(({ changes }) => changes)) {
    if (change.kind === "job") job = job ? jobOverJob(job, change) : change;
    else {
      const first = parts.get(change.id);
      parts.set(change.id, first ? partOverPart(first, change) : change);
    }
  }
  const changed = [...parts.values()].filter(({ before, after }) => before !== undefined || after !== undefined);
  return { changes: [...changed, ...(job ? [job] : [])] };
}
