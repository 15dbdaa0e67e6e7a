import { ask } from "../api/client";
import { type JobRecord, jobRecordSchema, type PartRecord, partRecordSchema } from "../api/records";
import type { Command } from "./command";

export type Confirmed = { readonly revision: number; readonly part?: PartRecord; readonly job?: JobRecord };

/** Sends one command. Safe to repeat: the server knows its id. */
export async function send(command: Command): Promise<Confirmed> {
  const { commandId, baseRevision, jobId, target } = command;
  if (command.kind === "patch-job") {
    const job = await ask(jobRecordSchema, "PATCH", `/jobs/${jobId}`, {
      commandId,
      baseRevision,
      changes: command.changes,
    });
    return { revision: job.revision, job };
  }
  const part =
    command.kind === "put-part"
      ? await ask(partRecordSchema, "PUT", `/jobs/${jobId}/parts/${target}`, {
          commandId,
          baseRevision,
          part: command.part,
        })
      : await ask(partRecordSchema, "POST", `/jobs/${jobId}/parts/${target}/bin`, { commandId, baseRevision });
  return { revision: part.revision, part };
}
