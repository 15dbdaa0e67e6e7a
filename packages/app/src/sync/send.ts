import { z } from "zod";
import { ask, sendBytes } from "../api/client";
import { type JobRecord, jobRecordSchema, type PartRecord, partRecordSchema } from "../api/records";
import { deviceStore } from "../device/store";
import { photoKey, unsentPhotoKey } from "../photos/photoKey";
import type { Command } from "./command";

/** What the server says to a command. A revision only where the record has one. */
export type Confirmed = { readonly revision?: number; readonly part?: PartRecord; readonly job?: JobRecord };

export type Send = (command: Command) => Promise<Confirmed>;

const ageMs = ({ madeAt }: Command): number => Math.max(0, Math.round(Date.now() - madeAt));

export type Ask = typeof ask;

/** A sender over a way to ask the API, and one to send a photo. Each command is safe to repeat: the server knows its id. */
export const sendBy =
  (askApi: Ask, sendPhoto: (jobId: string, photoId: string) => Promise<void>): Send =>
  async (command) => {
    const { commandId, baseRevision, jobId, target } = command;
    const parts = `/jobs/${jobId}/parts/${target}`;
    const shared = { commandId, ageMs: ageMs(command) };
    switch (command.kind) {
      case "patch-job": {
        const body = { commandId, baseRevision, changes: command.changes };
        const job = await askApi(jobRecordSchema, "PATCH", `/jobs/${jobId}`, body);
        return { revision: job.revision, job };
      }
      case "put-part": {
        const part = await askApi(partRecordSchema, "PUT", parts, { ...shared, baseRevision, part: command.part });
        return { revision: part.revision, part };
      }
      case "bin-part": {
        const part = await askApi(partRecordSchema, "POST", `${parts}/bin`, { ...shared, baseRevision });
        return { revision: part.revision, part };
      }
      case "set-aside":
        await askApi(setAsideSchema, "POST", `${parts}/set-aside`, { ...shared, part: command.part });
        return {};
      case "put-photo":
        await sendPhoto(jobId, target);
        return {};
    }
  };

const setAsideSchema = z.object({ kept: z.boolean() });

async function sendKeptPhoto(jobId: string, photoId: string): Promise<void> {
  const unsent = unsentPhotoKey(photoId);
  const picture = (await deviceStore.get(unsent)) ?? (await deviceStore.get(photoKey(photoId)));
  // A picture that the browser has thrown away cannot be sent; the part's history still names it.
  if (!(picture instanceof Blob)) return;
  await sendBytes(`/jobs/${jobId}/photos/${photoId}`, picture);
  await deviceStore.set(photoKey(photoId), picture);
  await deviceStore.remove(unsent);
}

/** The app's own way to the server. */
export const send = sendBy(ask, sendKeptPhoto);
