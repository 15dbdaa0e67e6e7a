import { z } from "zod";
import { ask, sendBytes } from "../api/client";
import { type JobRecord, jobRecordSchema, type PartRecord, partRecordSchema } from "../api/records";
import { type DeviceStore, deviceStore } from "../device/store";
import { photoKey, unsentPhotoKey } from "../photos/photoKey";
import { type Command, Gone } from "./command";

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

const PICTURE_GONE =
  "The picture of a photo is no longer on this device: the browser has thrown it away before it was sent. Take it anew where it is missing.";

/** Sends a photo from where it is kept on the device. Throws `Gone` where it is no longer there: what is not sent is said, not forgotten. */
export const photoSender =
  (store: DeviceStore, sendPicture: (path: string, picture: Blob) => Promise<unknown>) =>
  async (jobId: string, photoId: string): Promise<void> => {
    const unsent = unsentPhotoKey(photoId);
    const picture = (await store.get(unsent)) ?? (await store.get(photoKey(photoId)));
    if (!(picture instanceof Blob)) throw new Gone(PICTURE_GONE);
    await sendPicture(`/jobs/${jobId}/photos/${photoId}`, picture);
    await store.set(photoKey(photoId), picture);
    await store.remove(unsent);
  };

/** The app's own way to the server. */
export const send = sendBy(ask, photoSender(deviceStore, sendBytes));
