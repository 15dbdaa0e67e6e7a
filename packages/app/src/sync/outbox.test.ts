import { partContext, studWallKind } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import { ApiProblem, NoAnswer, NotUnderstood } from "../api/client";
import { memoryStore } from "../device/memoryStore";
import type { DeviceStore } from "../device/store";
import { unsentPhotoKey } from "../photos/photoKey";
import type { Command } from "./command";
import { Outbox, syncState, wouldLose } from "./outbox";
import { type Confirmed, photoSender, type Send } from "./send";

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

describe("what the server answers", () => {
  /** Answers by the record, so that each has its own. */
  const answering = (by: Record<string, () => Confirmed>) =>
    send.mockImplementation(async (command) => {
      const answer = by[command.target];
      return answer ? answer() : { ...confirmed(9), part: undefined };
    });
  const fail = (error: Error) => () => {
    throw error;
  };
  const refusal = (status: number) => new ApiProblem(status, `no, by ${status}`, [], undefined);
  const sent = (target: string) => send.mock.calls.filter(([command]) => command.target === target).length;

  it("a photo whose picture the browser has thrown away is held and said, not forgotten", async () => {
    const sendPicture = jest.fn(async () => undefined);
    // What the store of the tests hands out is a copy, which a picture cannot be here.
    const pictures: DeviceStore = {
      ...store,
      get: async (key) => (key === unsentPhotoKey("there") ? new Blob(["a picture"]) : undefined),
    };
    const sendPhoto = photoSender(pictures, sendPicture);
    send.mockImplementation(async (command) => {
      await sendPhoto(command.jobId, command.target);
      return {};
    });
    const photo = (target: string): Command => {
      return { kind: "put-photo", commandId: `photo-${target}`, jobId: "job", target, baseRevision: 0, madeAt: 0 };
    };
    const { outbox } = await newOutbox();
    outbox.add(photo("gone"), photo("there"));
    await settled();
    expect(outbox.read().stuck).toMatchObject([{ reason: "gone", command: { target: "gone" } }]);
    expect(outbox.read().stuck[0]?.message).toContain("no longer on this device");
    expect(outbox.read().commands.map((each) => each.target)).toEqual(["gone"]);
    expect(syncState(outbox.read())).toBe("needs-you");
    expect(sendPicture).toHaveBeenCalledTimes(1);
  });

  it.each([400, 404, 405, 413, 415, 422])(
    "%d is refused for good: held for its record, said, and the rest goes on",
    async (status) => {
      const { outbox } = await newOutbox();
      answering({ bad: fail(refusal(status)) });
      outbox.add(put("Bad", "bad"), put("Good", "good"));
      await settled();
      expect(outbox.read().stuck).toMatchObject([{ reason: "refused", message: `no, by ${status}` }]);
      expect([sent("bad"), sent("good")]).toEqual([1, 1]);
      expect(outbox.read().commands.map((each) => each.target)).toEqual(["bad"]);
      expect(syncState(outbox.read())).toBe("needs-you");
    },
  );

  it("a refused change can be sent again once what was in the way is gone", async () => {
    const { outbox } = await newOutbox();
    answering({ bad: fail(refusal(422)) });
    outbox.add(put("Bad", "bad"));
    await settled();
    answering({});
    outbox.again("bad");
    await settled();
    expect(syncState(outbox.read())).toBe("saved");
  });

  it("500 is asked again for its record alone, with growing pauses, and holds up no other", async () => {
    jest.useFakeTimers();
    try {
      const { outbox } = await newOutbox();
      answering({ bad: fail(refusal(500)) });
      outbox.add(put("Bad", "bad"), put("Good", "good"));
      await jest.advanceTimersByTimeAsync(10);
      expect([sent("bad"), sent("good")]).toEqual([1, 1]);
      expect(outbox.read().stuck).toEqual([]);
      expect(syncState(outbox.read())).toBe("on-device");
      // A minute's pause at first, here, and never longer than a minute.
      await jest.advanceTimersByTimeAsync(60_000);
      expect(sent("bad")).toBe(2);
      answering({});
      await jest.advanceTimersByTimeAsync(61_000);
      expect(syncState(outbox.read())).toBe("saved");
    } finally {
      jest.useRealTimers();
    }
  });

  it("no answer, 401 and 429 make all wait, longer each time", async () => {
    jest.useFakeTimers();
    try {
      for (const error of [new NoAnswer(), refusal(401), refusal(429)]) {
        send.mockReset();
        const outbox = new Outbox({
          store: memoryStore(),
          send,
          onConfirmed: jest.fn(),
          onSignedOut: jest.fn(),
          retryMs: 1000,
        });
        opened.push(outbox);
        await outbox.open("ros");
        send.mockRejectedValue(error);
        outbox.add(put("One", "one"), put("Two", "two"));
        await jest.advanceTimersByTimeAsync(10);
        expect([sent("one"), sent("two")]).toEqual([1, 0]);
        expect(syncState(outbox.read())).toBe("on-device");
        const times: number[] = [];
        for (let second = 1; second <= 16; second += 1) {
          const before = send.mock.calls.length;
          await jest.advanceTimersByTimeAsync(1000);
          if (send.mock.calls.length > before) times.push(second);
        }
        // After 1 s, then 2, 4 and 8 more.
        expect(times).toEqual([1, 3, 7, 15]);
      }
    } finally {
      jest.useRealTimers();
    }
  });

  it("403 asks who is signed in and tries once more; then a person is told", async () => {
    jest.useFakeTimers();
    try {
      const { outbox, onSignedOut } = await newOutbox();
      answering({ bad: fail(refusal(403)) });
      outbox.add(put("Bad", "bad"));
      await jest.advanceTimersByTimeAsync(10);
      expect(onSignedOut).toHaveBeenCalledTimes(1);
      expect(outbox.read().stuck).toEqual([]);
      await jest.advanceTimersByTimeAsync(60_000);
      expect(outbox.read().stuck).toHaveLength(1);
    } finally {
      jest.useRealTimers();
    }
  });

  it("an answer that is not understood is asked for again some times, then told; the rest goes on", async () => {
    jest.useFakeTimers();
    try {
      const { outbox } = await newOutbox();
      answering({ odd: fail(new NotUnderstood()) });
      outbox.add(put("Odd", "odd"), put("Good", "good"));
      await jest.advanceTimersByTimeAsync(10);
      expect(sent("good")).toBe(1);
      await jest.advanceTimersByTimeAsync(600_000);
      expect(sent("odd")).toBe(5);
      expect(outbox.read().stuck[0]?.message).toContain("not understood");
    } finally {
      jest.useRealTimers();
    }
  });
});

describe("a change on the device that this version does not know", () => {
  it("stays as it is, is told, and stops no other", async () => {
    const strange = { kind: "teleport-part", commandId: "x", target: "far" };
    const newer = { ...put("Newer"), commandId: "y", part: { ...wall, schemaVersion: 99 } };
    await store.set("outbox/ros/000000000007/x", strange);
    await store.set("outbox/ros/000000000008/y", newer);
    send.mockResolvedValue(confirmed(2));
    const { outbox } = await newOutbox();
    outbox.add(put("Known", "part"));
    await settled();
    expect(outbox.read()).toMatchObject({ commands: [], notKnown: 2 });
    expect(syncState(outbox.read())).toBe("needs-you");
    expect(await store.get("outbox/ros/000000000007/x")).toEqual(strange);
    expect(await store.get("outbox/ros/000000000008/y")).toEqual(newer);
  });

  it("of an earlier version is lifted, and sent", async () => {
    const older = { ...put("Older"), commandId: "z", part: { ...wall, schemaVersion: 4 }, before: null };
    await store.set("outbox/ros/000000000003/z", older);
    send.mockResolvedValue(confirmed(2));
    const { outbox } = await newOutbox();
    await settled();
    expect(send.mock.calls[0]?.[0]).toMatchObject({ kind: "put-part", part: { schemaVersion: 6 } });
    expect(outbox.read().notKnown).toBe(0);
  });
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

  it("says saved once the server has it, though the device keeps nothing at all, and that leaving before would lose it", async () => {
    const refuse = () => Promise.reject(new Error("not allowed"));
    const refused: DeviceStore = {
      get: refuse,
      set: refuse,
      remove: refuse,
      under: refuse,
      keys: refuse,
      removeMany: refuse,
    };
    const { outbox } = await newOutbox(refused);
    expect(outbox.read()).toMatchObject({ keepsNothing: true, cannotStore: false });
    expect(syncState(outbox.read())).toBe("saved");
    send.mockRejectedValueOnce(new NoAnswer());
    outbox.add(put("unkept"));
    await settled();
    expect(wouldLose(outbox.read())).toBe(true);
    expect(syncState(outbox.read())).toBe("needs-you");
    send.mockResolvedValue({ revision: 1 });
    outbox.again("part");
    await settled();
    await outbox.open("ros");
    await new Promise((later) => setTimeout(later, 30));
    await outbox.flush();
    await settled();
    if (outbox.read().commands.length > 0) await new Promise((later) => setTimeout(later, 3000));
    expect(outbox.read().commands).toEqual([]);
    expect(syncState(outbox.read())).toBe("saved");
    expect(wouldLose(outbox.read())).toBe(false);
  });

  it("reads what an earlier version of the app left, and passes over what it cannot read", async () => {
    const { plan: _plan, ends: _ends, meetings: _meetings, notes: _notes, photos: _photos, ...old } = wall;
    const before = { ...put("old"), part: { ...old, schemaVersion: 1 }, before: null };
    await store.set("outbox/ros/000000000001/x", before);
    await store.set("outbox/ros/000000000002/y", { kind: "nonsense" });
    send.mockRejectedValue(new NoAnswer());
    const { outbox } = await newOutbox();
    expect(outbox.read().commands).toMatchObject([{ part: { schemaVersion: 6, plan: null, repeats: 1 } }]);
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
