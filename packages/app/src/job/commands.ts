import type { FullJob } from "../api/records";
import type { Command } from "../sync/command";
import { newId } from "../sync/newId";
import { outbox } from "../sync/outboxInstance";
import { type Change, onto, type Step } from "./history";

function partCommand(change: Extract<Change, { kind: "part" }>, full: FullJob): Command | undefined {
  const known = full.parts.find((each) => each.id === change.id);
  const shared = {
    commandId: newId(),
    jobId: full.job.id,
    target: change.id,
    baseRevision: known?.revision ?? outbox.lastRevision(change.id),
    madeAt: Date.now(),
  };
  const part = onto(change, known?.part);
  if (part) return { ...shared, kind: "put-part", part, before: known?.part ?? null };
  return known ? { ...shared, kind: "bin-part" } : undefined;
}

/** The commands that make a step on the job as it stands on this device. */
export function commandsFor(step: Step, full: FullJob): Command[] {
  return step.changes.flatMap((change) => {
    if (change.kind === "part") return partCommand(change, full) ?? [];
    const { id: jobId, revision: baseRevision } = full.job;
    const shared = { commandId: newId(), jobId, target: jobId, baseRevision, madeAt: Date.now() };
    return { ...shared, kind: "patch-job" as const, changes: change.after };
  });
}
