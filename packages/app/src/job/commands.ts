import type { FullJob } from "../api/records";
import type { Command } from "../sync/command";
import { newId } from "../sync/newId";
import type { Outbox } from "../sync/outbox";
import { type Change, onto, type Step } from "./history";

/** What the commands need to know of what was sent before. */
type Revisions = Pick<Outbox, "lastRevision">;

function partCommand(change: Extract<Change, { kind: "part" }>, full: FullJob, sent: Revisions): Command | undefined {
  const known = full.parts.find((each) => each.id === change.id);
  const shared = {
    commandId: newId(),
    jobId: full.job.id,
    target: change.id,
    baseRevision: known?.revision ?? sent.lastRevision(change.id),
    madeAt: Date.now(),
  };
  const part = onto(change, known?.part);
  if (part) return { ...shared, kind: "put-part", part, before: known?.part ?? null };
  return known ? { ...shared, kind: "bin-part" } : undefined;
}

/** The commands that make a step on the job as it stands on this device. */
export function commandsFor(step: Step, full: FullJob, sent: Revisions): Command[] {
  return step.changes.flatMap((change) => {
    if (change.kind === "part") return partCommand(change, full, sent) ?? [];
    const { id: jobId, revision: baseRevision } = full.job;
    const shared = { commandId: newId(), jobId, target: jobId, baseRevision, madeAt: Date.now() };
    return { ...shared, kind: "patch-job" as const, changes: change.after };
  });
}
