/** What the device keeps by itself, by key. Values are plain data or blobs. Fails where the browser keeps nothing. */
export type DeviceStore = {
  readonly get: (key: string) => Promise<unknown>;
  readonly set: (key: string, value: unknown) => Promise<void>;
  readonly remove: (key: string) => Promise<void>;
  /** Everything whose key begins so, in the order of the keys. */
  readonly under: (prefix: string) => Promise<readonly (readonly [key: string, value: unknown])[]>;
  /** The keys alone of everything whose key begins so: they can be read whoever is signed in. */
  readonly keys: (prefix: string) => Promise<readonly string[]>;
  readonly removeMany: (keys: readonly string[]) => Promise<void>;
};
