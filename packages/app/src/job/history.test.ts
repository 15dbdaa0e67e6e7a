import { emptyHistory, record, redo, type Step, undo } from "./history";

const step = (before: string, after: string): Step => ({
  kind: "job",
  before: { title: before },
  after: { title: after },
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
});
