import type { DeviceStore } from "./deviceStore";

/** A value as it lies on the device: what it says can be read by nobody who has not got the person's key. */
type Sealed = {
  readonly sealed: 1;
  readonly iv: Uint8Array<ArrayBuffer>;
  readonly bytes: ArrayBuffer;
  /** What kind of file it is; undefined for plain data. */
  readonly blobType?: string;
};

const isSealed = (value: unknown): value is Sealed =>
  typeof value === "object" && value !== null && "sealed" in value && value.sealed === 1;

/** What has to be read before anybody is known here, and says nothing of any job. */
const OPEN: readonly string[] = ["session", "signed-out", "people/", "key/"];
const isOpen = (key: string): boolean => OPEN.some((prefix) => key.startsWith(prefix));

/** Bytes of a NIST SP 800-38D nonce. */
const IV_BYTES = 12;

async function sealedWith(key: CryptoKey, value: unknown): Promise<Sealed> {
  const iv = crypto.getRandomValues(new Uint8Array(IV_BYTES));
  const plain = value instanceof Blob ? await value.arrayBuffer() : new TextEncoder().encode(JSON.stringify(value));
  const bytes = await crypto.subtle.encrypt({ name: "AES-GCM", iv }, key, plain);
  return { sealed: 1, iv, bytes, ...(value instanceof Blob ? { blobType: value.type } : {}) };
}

/** Undefined for what was sealed with another key, or is broken. */
async function openedWith(key: CryptoKey | undefined, value: unknown): Promise<unknown> {
  if (!isSealed(value)) return value;
  if (!key) return undefined;
  try {
    const plain = await crypto.subtle.decrypt({ name: "AES-GCM", iv: value.iv }, key, value.bytes);
    if (value.blobType !== undefined) return new Blob([plain], { type: value.blobType });
    return JSON.parse(new TextDecoder().decode(plain));
  } catch {
    return undefined;
  }
}

/** 32 bytes of base64url as a key that no page can read out again. Undefined where the page does not come over https: browsers give none there. */
export async function sealingKey(text: string): Promise<CryptoKey | undefined> {
  if (text === "" || globalThis.crypto?.subtle === undefined) return undefined;
  const bytes = Uint8Array.from(atob(text.replace(/-/g, "+").replace(/_/g, "/")), (each) => each.charCodeAt(0));
  return crypto.subtle.importKey("raw", bytes, "AES-GCM", false, ["encrypt", "decrypt"]);
}

/**
 * A store whose values are sealed with the key of whoever is signed in (AES-256-GCM), but for the little that is read before. What lies there
 * from before it was sealed is read as it is.
 */
export function sealedStore(plain: DeviceStore, keyNow: () => CryptoKey | undefined): DeviceStore {
  /** To seal takes a moment: what is set later stays later. */
  const setting = new Map<string, Promise<void>>();

  async function set(key: string, value: unknown): Promise<void> {
    const seal = isOpen(key) ? undefined : keyNow();
    const before = setting.get(key);
    const work = async () => {
      await before?.catch(() => undefined);
      await plain.set(key, seal ? await sealedWith(seal, value) : value);
    };
    const done = work().finally(() => {
      if (setting.get(key) === done) setting.delete(key);
    });
    setting.set(key, done);
    return done;
  }

  /** What is being set is there first. */
  const settled = async (key: string): Promise<void> => setting.get(key)?.catch(() => undefined);

  return {
    set,
    get: async (key) => {
      await settled(key);
      return openedWith(keyNow(), await plain.get(key));
    },
    remove: async (key) => {
      await settled(key);
      await plain.remove(key);
    },
    under: async (prefix) => {
      await Promise.all([...setting.keys()].filter((key) => key.startsWith(prefix)).map(settled));
      const found = await plain.under(prefix);
      return Promise.all(found.map(async ([key, value]) => [key, await openedWith(keyNow(), value)] as const));
    },
    keys: (prefix) => plain.keys(prefix),
    removeMany: async (keys) => {
      await Promise.all(keys.map(settled));
      await plain.removeMany(keys);
    },
  };
}
