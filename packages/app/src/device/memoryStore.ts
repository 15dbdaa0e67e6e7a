import type { DeviceStore } from "./store";

/** A store for tests of plain data, that forgets with the page. `size` tells how much it holds. */
export function memoryStore(): DeviceStore & { readonly size: () => number } {
  const kept = new Map<string, unknown>();
  return {
    get: async (key) => kept.get(key),
    set: async (key, value) => {
      kept.set(key, JSON.parse(JSON.stringify(value)));
    },
    remove: async (key) => {
      kept.delete(key);
    },
    under: async (prefix) =>
      [...kept].filter(([key]) => key.startsWith(prefix)).toSorted(([a], [b]) => (a < b ? -1 : 1)),
    keys: async (prefix) => [...kept.keys()].filter((key) => key.startsWith(prefix)).toSorted(),
    removeMany: async (keys) => {
      for (const key of keys) kept.delete(key);
    },
    size: () => kept.size,
  };
}
