import { z } from "zod";
import { ask, sendBytes } from "../api/client";
import { type JobRecord, jobRecordSchema, type PartRecord, partRecordSchema } from "../api/records";
import { deviceStore } from "../device/store";
import { photoKey } from "../photos/photoKey";
import type { Command } from "./command";

/** What the server says to a command. A revision only where the record has one. */
export type Confirmed = { readonly revision?: number; readonly part?: PartRecord; readonly job?: JobRecord };

export type Send = (command: Command) => Promise<Confirmed>;

const ageMs = ({ madeAt }: Command): number => Math.max(0, Math.round(Date.now() - madeAt));

/** Sends one command. Safe to repeat: the server knows its id. */
export const send: Send = async (command) => {
  const { commandId, baseRevision, jobId, target } = command;
  const parts = `/jobs/${jobId}/parts/${target}`;
  const shared = { commandId, ageMs: ageMs(command) };
  switch (command.kind) {
    case "patch-job": {
      const body = { commandId, baseRevision, changes: command.changes };
      const job = await ask(jobRecordSchema, "PATCH", `/jobs/${jobId}`, body);
      return { revision: job.revision, job };
    }
    case "put-part": {
      const part = await ask(partRecordSchema, "PUT", parts, { ...shared, baseRevision, part: command.part });
      return { revision: part.revision, part };
    }
    case "bin-part": {
      const part = await ask(partRecordSchema, "POST", `${parts}/bin`, { ...shared, baseRevision });
      return { revision: part.revision, part };
    }
    case "set-aside":
      await ask(z.object({ kept: z.boolean() }), "POST", `${parts}/set-aside`, { ...shared, part: command.part });
      return {};
    case "put-photo":
      return sendPhoto(jobId, target);
  }
};

async function sendPhoto(jobId: string, photoId: string): Promise<Confirmed> {
  const picture = await deviceStore.get(photoKey(photoId));
  // A picture that the browser has thrown away cannot be sent; the part's history still names it.
  if (picture instanceof Blob) await sendBytes(`/jobs/${jobId}/photos/${photoId}`, picture);
  return {};
}
