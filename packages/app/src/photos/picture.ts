import { LARGEST_PHOTO_BYTES } from "@wide-porch/core";

/** The longer side of a photo as it is kept: enough to read a tape in it. */
const LONGEST_SIDE_PX = 1600;
const QUALITY = 0.82;
/** What a phone's camera makes is a tenth of this; anything larger is no photo, and would fill the device's memory. */
const LARGEST_FILE_BYTES = 40 * 1024 * 1024;

export class NoPicture extends Error {}

const megabytes = (bytes: number): string => `${Math.round(bytes / 1024 / 1024)} MB`;

async function decoded(file: Blob): Promise<ImageBitmap> {
  try {
    return await createImageBitmap(file);
  } catch {
    throw new NoPicture("This file is no picture that can be shown. Choose a JPEG, PNG or WebP.");
  }
}

/** A photo made small enough to keep and to send. Throws NoPicture with a sentence for what cannot be one. */
export async function smallPicture(file: Blob): Promise<Blob> {
  if (file.size === 0) throw new NoPicture("This file is empty.");
  if (file.size > LARGEST_FILE_BYTES) {
    throw new NoPicture(`This file is ${megabytes(file.size)}; a photo is at most ${megabytes(LARGEST_FILE_BYTES)}.`);
  }
  const picture = await decoded(file);
  const scale = Math.min(1, LONGEST_SIDE_PX / Math.max(picture.width, picture.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  const pen = canvas.getContext("2d");
  pen?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const small = await new Promise<Blob | null>((done) => canvas.toBlob(done, "image/jpeg", QUALITY));
  if (!pen || !small || small.size > LARGEST_PHOTO_BYTES)
    throw new NoPicture("This picture could not be made smaller.");
  return small;
}
