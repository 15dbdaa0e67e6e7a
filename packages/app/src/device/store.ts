import { createStore, del, delMany, entries, get, set, type UseStore } from "idb-keyval";

/** What the device keeps by itself, by key. Values are plain data or blobs. Fails where the browser keeps nothing. */
export type DeviceStore = {
  readonly get: (key: string) => Promise<unknown>;
  readonly set: (key: string, value: unknown) => Promise<void>;
  readonly remove: (key: string) => Promise<void>;
  /** Everything whose key begins so, in the order of the keys. */
  readonly under: (prefix: string) => Promise<readonly (readonly [key: string, value: unknown])[]>;
  readonly removeMany: (keys: readonly string[]) => Promise<void>;
};

let database: UseStore | undefined;
const store = (): UseStore => {
  database ??= createStore("wide-porch", "kept");
  return database;
};

/** IndexedDB: outlives reloads and restarts, and holds photos too. A browser that refuses it at once refuses each of these as a promise. */
export const deviceStore: DeviceStore = {
  get: async (key) => get(key, store()),
  set: async (key, value) => set(key, value, store()),
  remove: async (key) => del(key, store()),
  under: async (prefix) => {
    const all = await entries<string, unknown>(store());
    return all.filter(([key]) => key.startsWith(prefix)).toSorted(([a], [b]) => (a < b ? -1 : 1));
  },
  removeMany: async (keys) => delMany([...keys], store()),
};
