import type { Config } from "../config";
import { folderStore } from "./folderStore";
import { objectStore } from "./objectStore";
import type { PictureStore } from "./pictureStore";

/** Undefined for the database, which is what a company starts with: the bytes then lie beside the photo's row. */
export function openPictureStore({ photos }: Pick<Config, "photos">): PictureStore | undefined {
  if (photos.in === "folder") return folderStore(photos.folder);
  if (photos.in === "s3") return objectStore(photos);
  return undefined;
}
