import { expect, test } from "@playwright/test";
import { keepRunning } from "../scripts/lib/keepRunning.mjs";

/** Begins what ends when it is told to; `refuses` says which beginnings fail. */
function fake(refuses: readonly number[] = []) {
  const ends: (() => void)[] = [];
  let begun = 0;
  let stopped = 0;
  const begin = async () => {
    begun += 1;
    if (refuses.includes(begun)) throw new Error("the port is taken");
    const gone = new Promise<void>((resolve) => ends.push(resolve));
    return {
      gone,
      stop: async () => {
        stopped += 1;
      },
    };
  };
  return { begin, end: () => ends[ends.length - 1]?.(), begun: () => begun, stopped: () => stopped };
}

const settled = () => new Promise((resolve) => setTimeout(resolve, 5));

test.describe("what is kept running", () => {
  test("is begun again after growing pauses, and given up with a sentence", async () => {
    const thing = fake();
    const waited: number[] = [];
    const said: string[] = [];
    let gaveUp = false;
    const kept = await keepRunning("The server", thing.begin, {
      pauses: [10, 20],
      say: (words) => said.push(words),
      wait: async (ms) => waited.push(ms),
      giveUp: () => {
        gaveUp = true;
      },
    });
    for (let round = 0; round < 3; round += 1) {
      thing.end();
      await settled();
    }
    await kept.watched;
    expect([waited, thing.begun(), gaveUp]).toEqual([[10, 20], 3, true]);
    expect(said).toEqual([
      "The server has ended. It is started again in 0.01 s.",
      "The server is running again.",
      "The server has ended. It is started again in 0.02 s.",
      "The server is running again.",
      "The server ended 2 times in a row: it is not started again.",
    ]);
  });

  test("that does not begin is tried again; what stood long enough begins with the first pause", async () => {
    const thing = fake([2]);
    const waited: number[] = [];
    let now = 0;
    const kept = await keepRunning("The database", thing.begin, {
      pauses: [10, 20, 30],
      steadyMs: 1000,
      say: () => undefined,
      wait: async (ms) => waited.push(ms),
      now: () => now,
    });
    thing.end();
    await settled();
    expect([waited, thing.begun()]).toEqual([[10, 20], 3]);
    now = 5000;
    thing.end();
    await settled();
    expect(waited).toEqual([10, 20, 10]);
    await kept.stop();
  });

  test("that is stopped stays stopped, and what does not begin at first is refused", async () => {
    const thing = fake();
    const kept = await keepRunning("The server", thing.begin, { say: () => undefined, wait: async () => undefined });
    await kept.stop();
    thing.end();
    await kept.watched;
    expect([thing.begun(), thing.stopped()]).toEqual([1, 1]);
    await expect(keepRunning("The server", fake([1]).begin)).rejects.toThrow("the port is taken");
  });
});
