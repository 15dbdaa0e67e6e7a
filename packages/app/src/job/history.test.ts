import { measured, partContext, type StudWall, studWallKind } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import { memoryStore } from "../device/memoryStore";
import { DEEPEST, emptyHistory, type History, onto, record, redo, type Step, undo } from "./history";
import { KeptHistory } from "./keptHistory";

const step = (before: string, after: string): Step => ({
  changes: [{ kind: "job", before: { title: before }, after: { title: after } }],
});

describe("history", () => {
  it("takes steps back and forth in order", () => {
    const two = record(record(emptyHistory, step("a", "b")), step("b", "c"));
    const back = undo(two);
    expect(back?.step).toEqual(step("c", "b"));
    const further = back && undo(back.history);
    expect(further?.step).toEqual(step("b", "a"));
    expect(further && undo(further.history)).toBeUndefined();
    expect(further && redo(further.history)?.step).toEqual(step("a", "b"));
  });

  it("forgets what was taken back once something new is done", () => {
    const back = undo(record(emptyHistory, step("a", "b")));
    expect(back && redo(record(back.history, step("a", "z")))).toBeUndefined();
  });

  it("takes back a step of several records last first", () => {
    const several: Step = { changes: [...step("a", "b").changes, ...step("b", "c").changes] };
    expect(undo(record(emptyHistory, several))?.step.changes).toEqual([
      ...step("c", "b").changes,
      ...step("b", "a").changes,
    ]);
  });
});

describe("undo on a part that somebody else has changed since", () => {
  const wall = studWallKind.defaults("w", "Wall", partContext("imperial", library));
  const longer: StudWall = { ...wall, length: measured(3_000_000_000, "3m") };

  it("takes back its own field and leaves theirs", () => {
    const theirs: StudWall = { ...longer, name: "Theirs" };
    expect(onto({ kind: "part", id: "w", before: longer, after: wall }, theirs)).toEqual({ ...wall, name: "Theirs" });
  });

  it("puts back a part that is gone, and takes out one that was added", () => {
    expect(onto({ kind: "part", id: "w", before: undefined, after: wall }, undefined)).toBe(wall);
    expect(onto({ kind: "part", id: "w", before: wall, after: undefined }, wall)).toBeUndefined();
  });
});

describe("history kept on the device", () => {
  it("comes back after a reload, with what was taken back", async () => {
    const store = memoryStore();
    const kept = new KeptHistory(store, "undo/ros/job");
    const two = record(record(emptyHistory, step("a", "b")), step("b", "c"));
    await kept.save(two);
    const back = undo(two)?.history ?? emptyHistory;
    await kept.save(back);
    expect(await new KeptHistory(store, "undo/ros/job").load()).toEqual(back);
    expect(await new KeptHistory(store, "undo/piet/job").load()).toEqual(emptyHistory);
  });

  it("writes each step once, and lets go of those it no longer needs", async () => {
    const store = memoryStore();
    const kept = new KeptHistory(store, "undo");
    let history: History = emptyHistory;
    for (let index = 0; index < DEEPEST + 20; index += 1) {
      history = record(history, step(`${index}`, `${index + 1}`));
      await kept.save(history);
    }
    // The deepest steps and the list of them.
    expect(store.size()).toBe(DEEPEST + 1);
  });

  it("goes on numbering after a reload", async () => {
    const store = memoryStore();
    await new KeptHistory(store, "undo").save(record(emptyHistory, step("a", "b")));
    const again = new KeptHistory(store, "undo");
    const longer = record(await again.load(), step("b", "c"));
    await again.save(longer);
    expect(await new KeptHistory(store, "undo").load()).toEqual(longer);
  });

  it("starts anew where what was kept cannot be read", async () => {
    const store = memoryStore();
    await store.set("undo/place", { done: "?" });
    expect(await new KeptHistory(store, "undo").load()).toEqual(emptyHistory);
  });
});
