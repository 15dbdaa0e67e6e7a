import type { FullJob, JobRecord, PartRecord } from "../api/records";
import type { Command } from "./command";
import type { Confirmed } from "./send";

function withPart(parts: readonly PartRecord[], record: PartRecord): PartRecord[] {
  const known = parts.some((each) => each.id === record.id);
  if (record.binned) return parts.filter((each) => each.id !== record.id);
  return known ? parts.map((each) => (each.id === record.id ? record : each)) : [...parts, record];
}

/** A job as the server knows it, with one confirmed change in it. */
export function withConfirmed(full: FullJob, confirmed: Confirmed): FullJob {
  if (confirmed.job) return { ...full, job: confirmed.job };
  return confirmed.part ? { ...full, parts: withPart(full.parts, confirmed.part) } : full;
}

function withJobChanges(record: JobRecord, command: Extract<Command, { kind: "patch-job" }>): JobRecord {
  return { ...record, job: { ...record.job, ...command.changes } };
}

function withCommand(full: FullJob, command: Command): FullJob {
  if (command.kind === "set-aside" || command.kind === "put-photo") return full;
  if (command.kind === "patch-job") return { ...full, job: withJobChanges(full.job, command) };
  const known = full.parts.find((each) => each.id === command.target);
  if (command.kind === "bin-part") return { ...full, parts: full.parts.filter((each) => each !== known) };
  const record = { id: command.target, revision: known?.revision ?? 0, binned: false, part: command.part };
  return { ...full, parts: withPart(full.parts, record) };
}

/** A job as it stands on this device: what the server knows, and over it what is on its way. */
export function withPending(full: FullJob, commands: readonly Command[]): FullJob {
  return commands.filter((command) => command.jobId === full.job.id).reduce(withCommand, full);
}
