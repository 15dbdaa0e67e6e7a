import sharp from "sharp";
import { MOST_PIXELS } from "../photos/store";
import type { PaperPicture, QuotePictures } from "./quotePdf";

/** 300 dots an inch over the width of the text. */
const WIDEST_PX = 2100;

/** Decodes a kept picture and makes it ready for the paper; undefined for one that cannot be read. */
async function paperPicture(bytes: Buffer): Promise<PaperPicture | undefined> {
  try {
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "truncated" })
      .rotate()
      .resize({ width: WIDEST_PX, height: WIDEST_PX, fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: 85 })
      .toBuffer({ resolveWithObject: true });
    return { widthPx: info.width, heightPx: info.height, jpeg: data };
  } catch {
    // Told on the paper, where the picture would have been.
    return undefined;
  }
}

/** One after another, so that several large ones are not in memory at once. */
export async function paperPictures(
  kept: readonly { readonly id: string; readonly bytes: Buffer }[],
): Promise<QuotePictures> {
  const ready = new Map<string, PaperPicture>();
  for (const { id, bytes } of kept) {
    const picture = await paperPicture(bytes);
    if (picture) ready.set(id, picture);
  }
  return ready;
}
