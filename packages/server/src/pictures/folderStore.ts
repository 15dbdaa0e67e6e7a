import { mkdir, open, readFile, rename, rm } from "node:fs/promises";
import { dirname, join } from "node:path";
import type { PictureStore } from "./pictureStore";

const PLAIN_ID = /^[0-9a-f-]{36}$/i;

/** Two levels of folders, so that none of them has millions of files. Throws for what is no id: it would be a path. */
function placeOf(folder: string, companyId: string, id: string): string {
  if (!PLAIN_ID.test(companyId) || !PLAIN_ID.test(id)) throw new Error(`folderStore: “${companyId}/${id}” is no id`);
  return join(folder, companyId, id.slice(0, 2), id);
}

const isMissing = (error: unknown): boolean =>
  typeof error === "object" && error !== null && "code" in error && error.code === "ENOENT";

/** Pictures as files. Written beside and then put in place, whole. */
export const folderStore = (folder: string): PictureStore => ({
  put: async (companyId, id, bytes) => {
    const place = placeOf(folder, companyId, id);
    await mkdir(dirname(place), { recursive: true, mode: 0o700 });
    const fresh = `${place}.${process.pid}-${Math.random().toString(36).slice(2)}`;
    const file = await open(fresh, "w", 0o600);
    try {
      await file.writeFile(bytes);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(fresh, place);
  },
  get: async (companyId, id) => {
    try {
      return await readFile(placeOf(folder, companyId, id));
    } catch (error) {
      if (isMissing(error)) return undefined;
      throw error;
    }
  },
  remove: (companyId, id) => rm(placeOf(folder, companyId, id), { force: true }),
});
