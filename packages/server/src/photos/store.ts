import { LARGEST_PHOTO_BYTES, PHOTO_TYPES } from "@wide-porch/core";
import type { Connection } from "mysql2";
import sharp from "sharp";
import type { EntityManager } from "typeorm";
import { requireQuota } from "../companies/usage";
import type { Quotas } from "../config";
import { HttpProblem } from "../http/problemDetails";
import type { PictureStore } from "../pictures/pictureStore";
import { type PhotoRow, photoEntity } from "./entity";

const TYPES: ReadonlyMap<string, PhotoRow["contentType"]> = new Map([
  ["jpeg", PHOTO_TYPES[0]],
  ["png", PHOTO_TYPES[1]],
  ["webp", PHOTO_TYPES[2]],
]);

/** What a phone's camera makes, and more than a device sends. A picture of more pixels takes gigabytes to decode. */
export const MOST_PIXELS = 50_000_000;
/** Decoding one picture takes one core and no more. */
sharp.concurrency(1);

export type Picture = Pick<PhotoRow, "contentType" | "widthPx" | "heightPx"> & { readonly bytes: Buffer };

export const notAPicture = (message: string): HttpProblem =>
  new HttpProblem(422, { detail: message, problems: [{ code: "no-picture", path: "", message }] });

/**
 * What a picture is by its bytes, whatever it was called; decoded once, so that what is kept can be shown and printed. Throws
 * 422 for what is none or cannot be decoded whole, and 413 for one too large.
 */
export async function readPicture(sent: unknown): Promise<Picture> {
  if (!(sent instanceof Uint8Array) || sent.length === 0) throw notAPicture("This is no picture: it is empty.");
  // From another thread it comes as plain bytes.
  const bytes = Buffer.from(sent.buffer, sent.byteOffset, sent.byteLength);
  if (bytes.length > LARGEST_PHOTO_BYTES) throw new HttpProblem(413, { detail: "A photo is at most 8 MB." });
  const { width, height, format } = await sharp(bytes, { limitInputPixels: false })
    .metadata()
    .catch(() => {
      throw notAPicture("This is no picture that can be shown.");
    });
  const contentType = TYPES.get(format);
  if (!contentType) throw notAPicture(`A photo is a JPEG, a PNG or a WebP, not “${format}”.`);
  if (width * height > MOST_PIXELS) {
    throw new HttpProblem(413, {
      detail: `A photo has at most ${MOST_PIXELS / 1e6} million pixels; this one is ${width} × ${height}.`,
    });
  }
  await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "truncated" })
    .resize(16, 16)
    .raw()
    .toBuffer()
    .catch(() => {
      throw notAPicture("This picture is broken: it cannot be shown whole. Take or send it again.");
    });
  return { contentType, widthPx: width, heightPx: height, bytes };
}

/** Where pictures lie, and how much room there is for them. */
export type Room = { readonly store: PictureStore | undefined; readonly quotas: Quotas };

/**
 * The bytes of one photo, into its row. As a statement with values of their own, not as text: as text they would be twice as many, and more than
 * a database takes at once where a photo is as large as it may be.
 */
async function writeBytes(manager: EntityManager, id: string, bytes: Buffer): Promise<void> {
  const runner = manager.queryRunner;
  if (!runner) throw new Error(`writeBytes: photo ${id} is not written within a transaction`);
  const connection: Connection = await runner.connect();
  await new Promise<void>((done, fail) => {
    connection.execute("UPDATE photo SET bytes = ? WHERE id = ?", [bytes, id], (error) =>
      error ? fail(error) : done(),
    );
  });
}

/** Keeps a picture under the device's id for it. Sent again, it is kept once. Throws 422 where the company has no room for it. */
export async function keepPhoto(
  manager: EntityManager,
  at: { readonly id: string; readonly companyId: string; readonly jobId: string; readonly userId: string },
  picture: Picture,
  { store, quotas }: Room,
): Promise<void> {
  const photos = manager.getRepository(photoEntity);
  const known = await photos.findOne({ where: { id: at.id }, select: { id: true, companyId: true, jobId: true } });
  if (known && (known.companyId !== at.companyId || known.jobId !== at.jobId)) {
    throw new HttpProblem(422, { detail: "This photo's id is in use elsewhere." });
  }
  if (known) return;
  const { id, companyId, jobId, userId: createdBy } = at;
  const { bytes, ...shape } = picture;
  const byteLength = bytes.length;
  await requireQuota(manager, companyId, quotas, "photos", 1);
  await requireQuota(manager, companyId, quotas, "photoBytes", byteLength);
  // Before its row: a row whose picture is not there would be a picture lost.
  await store?.put(companyId, id, bytes);
  await photos.insert({ id, companyId, jobId, createdBy, createdAt: new Date(), ...shape, bytes: null, byteLength });
  if (!store) await writeBytes(manager, id, bytes);
}

/** The bytes of a photo, wherever they lie. Undefined where the store has lost them. */
export const bytesOf = async (
  { id, companyId, bytes }: Pick<PhotoRow, "id" | "companyId" | "bytes">,
  store: PictureStore | undefined,
): Promise<Buffer | undefined> => bytes ?? store?.get(companyId, id);
