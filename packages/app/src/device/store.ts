import { createStore, del, delMany, entries, get, keys, set, type UseStore } from "idb-keyval";
import type { DeviceStore } from "./deviceStore";
import { sealedStore } from "./seal";

export type { DeviceStore } from "./deviceStore";

let database: UseStore | undefined;
const store = (): UseStore => {
  database ??= createStore("wide-porch", "kept");
  return database;
};

/** IndexedDB: outlives reloads and restarts, and holds photos too. A browser that refuses it at once refuses each of these as a promise. */
const plainStore: DeviceStore = {
  get: async (key) => get(key, store()),
  set: async (key, value) => set(key, value, store()),
  remove: async (key) => del(key, store()),
  under: async (prefix) => {
    const all = await entries<string, unknown>(store());
    return all.filter(([key]) => key.startsWith(prefix)).toSorted(([a], [b]) => (a < b ? -1 : 1));
  },
  keys: async (prefix) => (await keys<string>(store())).filter((key) => key.startsWith(prefix)).toSorted(),
  removeMany: async (gone) => delMany([...gone], store()),
};

let sealing: CryptoKey | undefined;
/** The key of whoever is signed in; undefined for nobody, and where the page has none. */
export const sealWith = (key: CryptoKey | undefined): void => {
  sealing = key;
};

/** What the device keeps, sealed with the key of whoever is signed in. */
export const deviceStore: DeviceStore = sealedStore(plainStore, () => sealing);
