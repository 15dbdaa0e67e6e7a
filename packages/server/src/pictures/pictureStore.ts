import type { Config } from "../config";
import { folderStore } from "./folderStore";
import { objectStore } from "./objectStore";

/** Where the bytes of photos lie. A picture never changes under its id: put again it is the same. */
export type PictureStore = {
  /** Resolves once it would outlive a power cut. */
  readonly put: (companyId: string, id: string, bytes: Uint8Array) => Promise<void>;
  /** Undefined where there is none. */
  readonly get: (companyId: string, id: string) => Promise<Buffer | undefined>;
  /** One that is not there is gone already. */
  readonly remove: (companyId: string, id: string) => Promise<void>;
};

/** Undefined for the database, which is what a company starts with: the bytes then lie beside the photo's row. */
export function openPictureStore({ photos }: Pick<Config, "photos">): PictureStore | undefined {
  if (photos.in === "folder") return folderStore(photos.folder);
  if (photos.in === "s3") return objectStore(photos);
  return undefined;
}
