/** @jest-environment node */
import { memoryStore } from "./memoryStore";
import { sealedStore, sealingKey } from "./seal";
import type { DeviceStore } from "./store";

/** As IndexedDB keeps it: bytes and files as they are. */
function byReference(): DeviceStore & { readonly raw: Map<string, unknown> } {
  const raw = new Map<string, unknown>();
  return {
    ...memoryStore(),
    raw,
    get: async (key) => raw.get(key),
    set: async (key, value) => {
      raw.set(key, value);
    },
    remove: async (key) => {
      raw.delete(key);
    },
    under: async (prefix) => [...raw].filter(([key]) => key.startsWith(prefix)),
  };
}

const ROS = "A".repeat(43);
const JUNO = `${"B".repeat(42)}E`;

async function storeOf(text: string, plain = byReference()) {
  const key = await sealingKey(text);
  return { plain, store: sealedStore(plain, () => key) };
}

describe("what lies on a device", () => {
  it("is read by whoever is signed in, and by nobody else", async () => {
    const { plain, store } = await storeOf(ROS);
    await store.set("answers/ros/price-list", { markup: "22.5" });
    await store.set("photos/a", new Blob(["picture"], { type: "image/jpeg" }));
    expect(await store.get("answers/ros/price-list")).toEqual({ markup: "22.5" });
    const photo = await store.get("photos/a");
    expect(photo instanceof Blob && [photo.type, await photo.text()]).toEqual(["image/jpeg", "picture"]);

    const { store: junos } = await storeOf(JUNO, plain);
    expect(await junos.get("answers/ros/price-list")).toBeUndefined();
    const { store: nobodys } = await storeOf("", plain);
    expect(await nobodys.get("answers/ros/price-list")).toBeUndefined();
    expect(await nobodys.under("answers/")).toEqual([["answers/ros/price-list", undefined]]);
    const bytes = [...plain.raw.values()].map((value) =>
      Buffer.from((value as { bytes: ArrayBuffer }).bytes).toString("latin1"),
    );
    expect(bytes.join()).not.toMatch(/markup|22\.5|picture/);
  });

  it("opens again for the same person, with the key that the server has for them", async () => {
    const { plain, store } = await storeOf(ROS);
    await store.set("outbox/ros/000000000001/x", { kind: "put-part" });
    const { store: later } = await storeOf(ROS, plain);
    expect(await later.under("outbox/ros/")).toEqual([["outbox/ros/000000000001/x", { kind: "put-part" }]]);
  });

  it("from before it was sealed is read as it is; what is needed before anybody is known stays open", async () => {
    const { plain, store } = await storeOf(ROS);
    await plain.set("drafts/ros/a", { base: 1 });
    expect(await store.get("drafts/ros/a")).toEqual({ base: 1 });
    await store.set("people/ros", "Ros");
    expect(plain.raw.get("people/ros")).toBe("Ros");
  });

  it("is the later of two that are set at once, however large the first", async () => {
    const { store } = await storeOf(ROS);
    void store.set("a", { text: "x".repeat(3_000_000) });
    void store.set("a", { text: "later" });
    expect(await store.get("a")).toEqual({ text: "later" });
    await store.remove("a");
    expect(await store.get("a")).toBeUndefined();
  });

  it("is never sealed twice alike", async () => {
    const { plain, store } = await storeOf(ROS);
    await store.set("a", 1);
    const first = plain.raw.get("a");
    await store.set("a", 1);
    expect(plain.raw.get("a")).not.toEqual(first);
  });
});
