import { partContext, studWallKind } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import { ApiProblem, NoAnswer } from "../api/client";
import type { Command } from "./command";
import { Outbox, syncState } from "./outbox";
import { type Confirmed, send } from "./send";

jest.mock("./send", () => ({ send: jest.fn() }));
const mockStored = new Map<string, string>();
jest.mock("@react-native-async-storage/async-storage", () => ({
  __esModule: true,
  default: {
    getItem: async (key: string) => mockStored.get(key) ?? null,
    setItem: async (key: string, value: string) => {
      mockStored.set(key, value);
    },
  },
}));

const sendMock = jest.mocked(send);
const wall = studWallKind.defaults("part", "Wall", partContext("imperial", library));
let made = 0;
const put = (name: string, baseRevision = 1): Command => {
  made += 1;
  return {
    kind: "put-part",
    commandId: `c${made}`,
    jobId: "job",
    target: "part",
    baseRevision,
    part: { ...wall, name },
  };
};
const confirmed = (revision: number): Confirmed => ({
  revision,
  part: { id: "part", revision, binned: false, part: wall },
});
const settled = () => new Promise((resolve) => setTimeout(resolve, 0));

async function newOutbox() {
  const onConfirmed = jest.fn();
  const onSignedOut = jest.fn();
  const outbox = new Outbox(onConfirmed, onSignedOut);
  await outbox.open("ros");
  return { outbox, onConfirmed, onSignedOut };
}

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ["setTimeout", "setImmediate", "nextTick"] });
  mockStored.clear();
  sendMock.mockReset();
});

describe("the outbox", () => {
  it("sends in order, and is saved only when the server has said so", async () => {
    const { outbox, onConfirmed } = await newOutbox();
    let answer: (value: Confirmed) => void = () => undefined;
    sendMock.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)));
    outbox.add(put("first"));
    expect(syncState(outbox.read())).toBe("sending");
    answer(confirmed(2));
    await settled();
    expect(syncState(outbox.read())).toBe("saved");
    expect(onConfirmed).toHaveBeenCalledTimes(1);
  });

  it("makes one of the changes that wait, and builds them on the revision just confirmed", async () => {
    const { outbox } = await newOutbox();
    let answer: (value: Confirmed) => void = () => undefined;
    sendMock.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)));
    sendMock.mockResolvedValueOnce(confirmed(3));
    outbox.add(put("first"));
    outbox.add(put("second"));
    outbox.add(put("third"));
    expect(outbox.read().commands).toHaveLength(2);
    answer(confirmed(2));
    await settled();
    expect(sendMock).toHaveBeenCalledTimes(2);
    expect(sendMock.mock.calls[1]?.[0]).toMatchObject({ baseRevision: 2, part: { name: "third" } });
  });

  it("keeps on the device what got no answer, and repeats it under the same id after a restart", async () => {
    const { outbox } = await newOutbox();
    sendMock.mockRejectedValue(new NoAnswer());
    outbox.add(put("kept"));
    await settled();
    expect(syncState(outbox.read())).toBe("on-device");
    const first = sendMock.mock.calls[0]?.[0];
    sendMock.mockReset();
    sendMock.mockResolvedValue(confirmed(2));
    const again = await newOutbox();
    await settled();
    expect(sendMock.mock.calls[0]?.[0]).toEqual(first);
    expect(syncState(again.outbox.read())).toBe("saved");
  });

  it("does not fold a new change into one that may have arrived", async () => {
    const { outbox } = await newOutbox();
    sendMock.mockRejectedValueOnce(new NoAnswer());
    outbox.add(put("tried"));
    await settled();
    outbox.add(put("later"));
    expect(outbox.read().commands.map((each) => each.kind === "put-part" && each.part.name)).toEqual([
      "tried",
      "later",
    ]);
  });

  it("stops at a conflict until a person chooses, and drops nothing by itself", async () => {
    const { outbox, onConfirmed } = await newOutbox();
    const theirs = { id: "part", revision: 7, binned: false, part: { ...wall, name: "theirs" } };
    sendMock.mockRejectedValueOnce(new ApiProblem(409, "changed", [], theirs));
    outbox.add(put("mine"));
    await settled();
    expect(syncState(outbox.read())).toBe("needs-you");
    expect(outbox.read().commands).toHaveLength(1);
    sendMock.mockResolvedValueOnce(confirmed(8));
    outbox.settle("mine");
    await settled();
    expect(sendMock.mock.calls[1]?.[0]).toMatchObject({ baseRevision: 7, part: { name: "mine" } });
    expect(onConfirmed).toHaveBeenLastCalledWith(expect.anything(), confirmed(8));
  });

  it("takes the other version when that is chosen", async () => {
    const { outbox, onConfirmed } = await newOutbox();
    const theirs = { id: "part", revision: 7, binned: false, part: { ...wall, name: "theirs" } };
    sendMock.mockRejectedValueOnce(new ApiProblem(409, "changed", [], theirs));
    outbox.add(put("mine"));
    await settled();
    outbox.settle("theirs");
    expect(outbox.read().commands).toEqual([]);
    expect(onConfirmed).toHaveBeenLastCalledWith(expect.anything(), { revision: 7, part: theirs });
  });

  it("keeps one person's unsent changes from the next who signs in on the device", async () => {
    const { outbox, onSignedOut } = await newOutbox();
    sendMock.mockRejectedValueOnce(new ApiProblem(401, "Sign in first", [], undefined));
    outbox.add(put("unsent"));
    await settled();
    expect(onSignedOut).toHaveBeenCalledTimes(1);
    outbox.close();
    await outbox.open("piet");
    expect(outbox.read().commands).toEqual([]);
    sendMock.mockResolvedValue(confirmed(2));
    await outbox.open("ros");
    await settled();
    expect(sendMock).toHaveBeenLastCalledWith(
      expect.objectContaining({ part: expect.objectContaining({ name: "unsent" }) }),
    );
    expect(syncState(outbox.read())).toBe("saved");
  });
});
