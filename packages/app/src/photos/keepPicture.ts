import type { Photo } from "@wide-porch/core";
import { deviceStore } from "../device/store";
import { newId } from "../sync/newId";
import { outbox } from "../sync/outboxInstance";
import { unsentPhotoKey } from "./photoKey";
import { smallPicture } from "./picture";

/** Makes a picture small, keeps it on the device and sends it when there is signal. Throws NoPicture for what is none. */
export async function keepPicture(jobId: string, file: Blob): Promise<Photo> {
  const picture = await smallPicture(file);
  const id = newId();
  await deviceStore.set(unsentPhotoKey(id), picture);
  outbox.add({ kind: "put-photo", commandId: newId(), jobId, target: id, baseRevision: 0, madeAt: Date.now() });
  return { id, caption: "" };
}
