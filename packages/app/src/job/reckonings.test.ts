import { type Part, type PartCount, partContext, studWallKind } from "@wide-porch/core";
import { startJob } from "@wide-porch/core/reckoning";
import { library, starterCompanySettings } from "@wide-porch/library";
import type { DeviceReckoning } from "../worker/reckon.worker";
import type { SentPart } from "../worker/sent";
import { type ReckoningInput, Reckonings, type RemoteReckoner } from "./reckonings";

const context = partContext("imperial", library);
const wall = (id: string): Part => studWallKind.defaults(id, id, context);
const start = { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
const rules = { assemblies: [], standard: undefined };
const input = (...parts: Part[]): ReckoningInput => ({
  job: startJob(start, starterCompanySettings),
  parts,
  priceList: [],
  rules,
});
const countOf = (partId: string): PartCount => ({
  partId,
  partName: partId,
  waits: false,
  compared: [],
  lines: [],
  scope: [],
  pieces: [],
  drawing: { kind: "none" },
  problems: [],
  openPoints: [],
});

/** A worker that answers when it is told to, and notes what it was sent. */
function fakeWorker() {
  const sent: SentPart[][] = [];
  const learnt: object[] = [];
  let answer: ((counts: PartCount[]) => void) | undefined;
  let fail: ((why: Error) => void) | undefined;
  let parts: readonly string[] = [];
  const remote: RemoteReckoner = {
    learn: async (_page, what) => void learnt.push(what),
    count: (_page, _job, now) => {
      sent.push([...now]);
      parts = now.map((each) => ("unchanged" in each ? each.unchanged : each.id));
      return new Promise((done, refuse) => {
        answer = done;
        fail = refuse;
      });
    },
    price: async () => ({
      counts: parts.map((unchanged) => ({ unchanged })),
      order: { lines: [], cuts: [], supplied: [], problems: [] } as unknown as DeviceReckoning["order"],
      buildUp: undefined,
    }),
    forget: async () => undefined,
  };
  const settle = async () => {
    for (let turn = 0; turn < 10; turn += 1) await Promise.resolve();
  };
  return {
    remote,
    sent,
    learnt,
    answer: async () => {
      answer?.(parts.map(countOf));
      await settle();
    },
    fail: async (why: string) => {
      fail?.(new Error(why));
      await settle();
    },
    settle,
  };
}

function watched() {
  const worker = fakeWorker();
  const heard = { counts: [] as string[][], reckonings: 0, failures: [] as string[] };
  const reckonings = new Reckonings({
    page: "page",
    remote: () => worker.remote,
    onCounts: (counts) => heard.counts.push([...counts.keys()]),
    onReckoning: () => {
      heard.reckonings += 1;
    },
    onFailure: (message) => heard.failures.push(message),
  });
  return { worker, heard, reckonings };
}

describe("reckoning at each change", () => {
  it("tells of the counts first, then of the rest", async () => {
    const { worker, heard, reckonings } = watched();
    reckonings.reckon(input(wall("a")));
    await worker.settle();
    expect(heard).toEqual({ counts: [], reckonings: 0, failures: [] });
    await worker.answer();
    expect(heard).toEqual({ counts: [["a"]], reckonings: 1, failures: [] });
  });

  it("sends rules and prices once, and of the parts those that changed", async () => {
    const { worker, reckonings } = watched();
    const [a, b, c] = [wall("a"), wall("b"), wall("c")];
    const first = input(a, b);
    reckonings.reckon(first);
    await worker.settle();
    await worker.answer();
    reckonings.reckon({ ...first, parts: [a, c] });
    await worker.settle();
    await worker.answer();
    expect(worker.learnt).toEqual([{ rules, priceList: [] }]);
    expect(worker.sent).toEqual([
      [a, b],
      [{ unchanged: "a" }, c],
    ]);
  });

  it("passes over what has been overtaken, and ends with the latest", async () => {
    const { worker, heard, reckonings } = watched();
    const first = input(wall("a"));
    reckonings.reckon(first);
    await worker.settle();
    reckonings.reckon({ ...first, parts: [wall("b")] });
    reckonings.reckon({ ...first, parts: [wall("c")] });
    await worker.answer();
    // Overtaken: it is not priced.
    expect(heard.reckonings).toBe(0);
    await worker.answer();
    expect(worker.sent.map((parts) => parts.map((each) => "id" in each && each.id))).toEqual([["a"], ["c"]]);
    expect(heard.reckonings).toBe(1);
  });

  it("says what went wrong, and sends all again afterwards", async () => {
    const { worker, heard, reckonings } = watched();
    const [a, b] = [wall("a"), wall("b")];
    const first = input(a);
    reckonings.reckon(first);
    await worker.settle();
    await worker.answer();
    reckonings.reckon({ ...first, parts: [a, b] });
    await worker.settle();
    await worker.fail("out of memory");
    expect(heard.failures).toEqual(["out of memory"]);
    reckonings.reckon({ ...first, parts: [a, b] });
    await worker.settle();
    await worker.answer();
    expect(worker.sent.at(-1)).toEqual([a, b]);
    expect(worker.learnt).toHaveLength(2);
    expect(heard.reckonings).toBe(2);
  });
});
