import { LARGEST_PHOTO_BYTES, PHOTO_TYPES } from "@wide-porch/core";
import { imageSize } from "image-size";
import type { EntityManager } from "typeorm";
import { HttpProblem } from "../http/problemDetails";
import { type PhotoRow, photoEntity } from "./entity";

const TYPES: Record<string, PhotoRow["contentType"]> = {
  jpg: PHOTO_TYPES[0],
  png: PHOTO_TYPES[1],
  webp: PHOTO_TYPES[2],
};

export type Picture = Pick<PhotoRow, "contentType" | "widthPx" | "heightPx" | "bytes">;

const notAPicture = (message: string): HttpProblem =>
  new HttpProblem(422, { detail: message, problems: [{ code: "no-picture", path: "", message }] });

/** What a picture is by its bytes, whatever it was called. Throws 422 for what is none, and 413 for one too large. */
export function readPicture(bytes: unknown): Picture {
  if (!Buffer.isBuffer(bytes) || bytes.length === 0) throw notAPicture("This is no picture: it is empty.");
  if (bytes.length > LARGEST_PHOTO_BYTES) throw new HttpProblem(413, { detail: "A photo is at most 8 MB." });
  let size: ReturnType<typeof imageSize>;
  try {
    size = imageSize(bytes);
  } catch {
    throw notAPicture("This is no picture that can be shown.");
  }
  const contentType = TYPES[size.type ?? ""];
  if (!contentType) throw notAPicture(`A photo is a JPEG, a PNG or a WebP, not “${size.type}”.`);
  return { contentType, widthPx: size.width, heightPx: size.height, bytes };
}

/** Keeps a picture under the device's id for it. Sent again, it is kept once. */
export async function keepPhoto(
  manager: EntityManager,
  at: { readonly id: string; readonly companyId: string; readonly jobId: string; readonly userId: string },
  picture: Picture,
): Promise<void> {
  const photos = manager.getRepository(photoEntity);
  const known = await photos.findOne({ where: { id: at.id }, select: { id: true, companyId: true, jobId: true } });
  if (known && (known.companyId !== at.companyId || known.jobId !== at.jobId)) {
    throw new HttpProblem(422, { detail: "This photo's id is in use elsewhere." });
  }
  if (known) return;
  const { id, companyId, jobId, userId: createdBy } = at;
  await photos.insert({ id, companyId, jobId, createdBy, createdAt: new Date(), ...picture });
}
