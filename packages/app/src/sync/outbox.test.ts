import { partContext, studWallKind } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import { ApiProblem, NoAnswer } from "../api/client";
import { memoryStore } from "../device/memoryStore";
import type { DeviceStore } from "../device/store";
import type { Command } from "./command";
import { Outbox, syncState } from "./outbox";
import type { Confirmed, Send } from "./send";

const send = jest.fn<ReturnType<Send>, Parameters<Send>>();
const wall = studWallKind.defaults("part", "Wall", partContext("imperial", library));
let made = 0;
const put = (name: string, target = "part", baseRevision = 1): Command => {
  made += 1;
  return {
    kind: "put-part",
    commandId: `c${made}`,
    jobId: "job",
    target,
    baseRevision,
    madeAt: 0,
    part: { ...wall, id: target, name },
    before: wall,
  };
};
const confirmed = (revision: number, name = "Wall"): Confirmed => ({
  revision,
  part: { id: "part", revision, binned: false, part: { ...wall, name } },
});
const settled = async () => {
  for (let turn = 0; turn < 8; turn += 1) await new Promise((resolve) => setTimeout(resolve, 0));
};

let store: ReturnType<typeof memoryStore>;
const opened: Outbox[] = [];

async function newOutbox(kept: DeviceStore = store, owner = "ros") {
  const onConfirmed = jest.fn();
  const onSignedOut = jest.fn();
  const outbox = new Outbox({ store: kept, send, onConfirmed, onSignedOut, retryMs: 60_000 });
  opened.push(outbox);
  await outbox.open(owner);
  return { outbox, onConfirmed, onSignedOut };
}

beforeEach(() => {
  store = memoryStore();
  send.mockReset();
});
afterEach(() => {
  for (const outbox of opened.splice(0)) outbox.close();
});

describe("the outbox", () => {
  it("sends in order, and is saved only when the server has said so", async () => {
    const { outbox, onConfirmed } = await newOutbox();
    let answer: (value: Confirmed) => void = () => undefined;
    send.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)));
    outbox.add(put("first"));
    expect(syncState(outbox.read())).toBe("sending");
    answer(confirmed(2));
    await settled();
    expect(syncState(outbox.read())).toBe("saved");
    expect(onConfirmed).toHaveBeenCalledTimes(1);
    expect(store.size()).toBe(0);
  });

  it("makes one of the changes that wait, and builds them on the revision just confirmed", async () => {
    const { outbox } = await newOutbox();
    let answer: (value: Confirmed) => void = () => undefined;
    send.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)));
    send.mockResolvedValueOnce(confirmed(3));
    outbox.add(put("first"));
    outbox.add(put("second"));
    outbox.add(put("third"));
    expect(outbox.read().commands).toHaveLength(2);
    answer(confirmed(2, "first"));
    await settled();
    expect(send).toHaveBeenCalledTimes(2);
    expect(send.mock.calls[1]?.[0]).toMatchObject({
      baseRevision: 2,
      part: { name: "third" },
      before: { name: "first" },
    });
  });

  it("keeps on the device what got no answer, and repeats it under the same id after a restart", async () => {
    const { outbox } = await newOutbox();
    send.mockRejectedValue(new NoAnswer());
    outbox.add(put("kept"));
    await settled();
    expect(syncState(outbox.read())).toBe("on-device");
    expect(store.size()).toBe(1);
    const first = send.mock.calls[0]?.[0];
    outbox.close();
    send.mockReset();
    send.mockResolvedValue(confirmed(2));
    const again = await newOutbox();
    await settled();
    expect(send.mock.calls[0]?.[0]).toEqual(first);
    expect(syncState(again.outbox.read())).toBe("saved");
    expect(store.size()).toBe(0);
  });

  it("keeps the order over a restart", async () => {
    const { outbox } = await newOutbox();
    send.mockRejectedValue(new NoAnswer());
    outbox.add(put("one", "a"), put("two", "b"), put("three", "c"));
    await settled();
    outbox.close();
    send.mockReset();
    send.mockResolvedValue({});
    await newOutbox();
    await settled();
    expect(send.mock.calls.map(([command]) => command.target)).toEqual(["a", "b", "c"]);
  });

  it("does not fold a new change into one that may have arrived", async () => {
    const { outbox } = await newOutbox();
    send.mockRejectedValueOnce(new NoAnswer());
    outbox.add(put("tried"));
    await settled();
    outbox.add(put("later"));
    const names = outbox.read().commands.map((each) => each.kind === "put-part" && each.part.name);
    expect(names).toEqual(["tried", "later"]);
  });

  it("holds up the record of a conflict until a person chooses, and no other; nothing is dropped", async () => {
    const { outbox } = await newOutbox();
    const theirs = { id: "part", revision: 7, binned: false, part: { ...wall, name: "theirs" } };
    send.mockRejectedValueOnce(new ApiProblem(409, "changed", [], theirs));
    send.mockResolvedValueOnce({ revision: 2 });
    outbox.add(put("mine"), put("another", "other"));
    await settled();
    expect(syncState(outbox.read())).toBe("needs-you");
    expect(outbox.read().commands.map((each) => each.target)).toEqual(["part"]);
    expect(outbox.read().stuck).toMatchObject([{ reason: "conflict", current: theirs }]);
    send.mockResolvedValueOnce(confirmed(8));
    const current = { revision: 7, part: theirs };
    outbox.settle("part", [{ ...put("chosen"), baseRevision: 7 }], current);
    await settled();
    expect(send.mock.calls[2]?.[0]).toMatchObject({ baseRevision: 7, part: { name: "chosen" } });
    expect(syncState(outbox.read())).toBe("saved");
    expect(store.size()).toBe(0);
  });

  it("says needs you, and not on this device, when the device keeps nothing", async () => {
    const full: DeviceStore = { ...store, set: () => Promise.reject(new Error("full")) };
    const { outbox } = await newOutbox(full);
    send.mockRejectedValue(new NoAnswer());
    outbox.add(put("unkept"));
    await settled();
    expect(outbox.read().cannotStore).toBe(true);
    expect(syncState(outbox.read())).toBe("needs-you");
  });

  it("reads what an earlier version of the app left, and passes over what it cannot read", async () => {
    const { plan: _plan, ends: _ends, meetings: _meetings, notes: _notes, photos: _photos, ...old } = wall;
    const before = { ...put("old"), part: { ...old, schemaVersion: 1 }, before: null };
    await store.set("outbox/ros/000000000001/x", before);
    await store.set("outbox/ros/000000000002/y", { kind: "nonsense" });
    send.mockRejectedValue(new NoAnswer());
    const { outbox } = await newOutbox();
    expect(outbox.read().commands).toMatchObject([{ part: { schemaVersion: 4, plan: null, repeats: 1 } }]);
  });

  it("keeps one person's unsent changes from the next who signs in on the device", async () => {
    const { outbox, onSignedOut } = await newOutbox();
    send.mockRejectedValueOnce(new ApiProblem(401, "Sign in first", [], undefined));
    outbox.add(put("unsent"));
    await settled();
    expect(onSignedOut).toHaveBeenCalledTimes(1);
    outbox.close();
    await outbox.open("piet");
    expect(outbox.read().commands).toEqual([]);
    send.mockResolvedValue(confirmed(2));
    await outbox.open("ros");
    await settled();
    expect(send).toHaveBeenLastCalledWith(
      expect.objectContaining({ part: expect.objectContaining({ name: "unsent" }) }),
    );
    expect(syncState(outbox.read())).toBe("saved");
  });
});
