import { contexts } from "../../testing/library";
import { type WalkStep, walkedRoom } from "../../testing/rooms";
import { inches } from "../../units";
import { finishWalk } from "./edit";
import { type Explanation, explainGap } from "./explainGap";
import { gapSizeNm, measuredCorners } from "./walk";

/** An L-shaped room, 16'4" by 12'6" with a 5'2" by 4'9" corner out of it: no two walls alike. */
const RIGHT: readonly WalkStep[] = [["16'4"], ["7'9"], ["5'2", 90], ["4'9", -90], ["11'2"], ["12'6"]];

const explained = (steps: readonly WalkStep[], system: "imperial" | "metric" = "imperial"): readonly Explanation[] => {
  const room = finishWalk(walkedRoom(steps, contexts[system]));
  if (!room) throw new Error("too few walls");
  return explainGap(room, system);
};

const withStep = (index: number, step: WalkStep): WalkStep[] => RIGHT.map((each, at) => (at === index ? step : each));

const closes = ({ runs }: Explanation): boolean =>
  gapSizeNm(measuredCorners(runs)[runs.length] ?? { xNm: 1e12, yNm: 0 }) <= inches(1);

describe("what could explain a gap", () => {
  it("finds nothing to explain in a walk that closes", () => expect(explained(RIGHT)).toEqual([]));

  /** The walls that a slip may be in; with each, what to do. Every one closes the walk: no more is known from the figures. */
  it.each<[string, WalkStep[], Explanation["slip"], Record<string, string>]>([
    [
      "a whole foot too long",
      withStep(1, ["8'9"]),
      "whole-unit",
      { r2: "Use 7' 9\"", r4: "Use 3' 9\"", r6: "Use 13' 6\"" },
    ],
    [
      "a whole foot too short",
      withStep(4, ["10'2"]),
      "whole-unit",
      { a: "Use 15' 4\"", r3: "Use 6' 2\"", r5: "Use 11' 2\"" },
    ],
    ["ten inches", withStep(0, ["15'6"]), "ten", { a: "Use 16' 4\"", r3: "Use 4' 4\"", r5: "Use 10' 4\"" }],
    ["a swapped pair of figures", withStep(5, ["21'6"]), "swapped-figures", { r6: "Use 12' 6\"" }],
    ["a turn the wrong way", withStep(2, ["5'2", -90]), "wrong-turn", { r3: "Turn left" }],
    ["the last wall missing", RIGHT.slice(0, 5), "missing-run", { r5: "Add 12' 6\"" }],
    [
      "a wall counted twice",
      [...RIGHT.slice(0, 4), ["11'2", 0], ["11'2", -90], ["12'6"]],
      "counted-twice",
      { r5: "Take out Wall E", r6: "Take out Wall F" },
    ],
  ])("finds %s", (_name, steps, slip, actions) => {
    const found = explained(steps);
    expect(new Set(found.map((each) => each.slip))).toEqual(new Set([slip]));
    expect(Object.fromEntries(found.map(({ runId, action }) => [runId, action]))).toEqual(actions);
    // Each is said once.
    expect(found).toHaveLength(Object.keys(actions).length);
    for (const each of found) expect(closes(each)).toBe(true);
    // What was read in the end is among them.
    const walked = ({ runs }: Explanation) =>
      runs.map((run) => `${run.length.valueNm} ${run.turnDegrees.value}`).join();
    const right = walkedRoom(RIGHT).runs.slice(0, RIGHT.length);
    expect(found.map(walked)).toContain(right.map((run) => `${run.length.valueNm} ${run.turnDegrees.value}`).join());
  });

  it("says where a turn leads, and what a figure would have to be", () => {
    expect(explained(withStep(2, ["5'2", -90]))[0]?.message).toBe(
      "The turn from Wall C into Wall D may go to the left.",
    );
    expect(explained(withStep(3, ["4'9", 90])).map((each) => each.action)).toEqual(["Turn right"]);
    expect(explained(withStep(1, ["8'9"]))[0]?.message).toBe(
      "Wall B may be a whole foot too long: 8' 9\" where 7' 9\" would close the walk.",
    );
    expect(explained(RIGHT.slice(0, 5))[0]?.message).toBe("A wall of 12' 6\" may be missing after Wall E.");
  });

  it("finds a jog missing between two walls", () => {
    // The 4'9" of the L's inner corner was never read: wall C went straight on into E.
    const steps: WalkStep[] = [["16'4"], ["7'9"], ["5'2", 0], ["11'2"], ["12'6"]];
    const missing = explained(steps).find((each) => each.slip === "missing-run" && each.runId === "r3");
    expect(missing?.message).toContain("4' 9\"");
    expect(missing?.runs.map((run) => run.turnDegrees.value)).toEqual([-90, -90, 90, -90, -90, -90]);
  });

  it("looks for slips of a metre and of a decimetre in metric", () => {
    const metric: WalkStep[] = [["4.2m"], ["3.1m"], ["5.2m"], ["3.1m"]];
    expect(explained(metric, "metric").map((each) => each.action)).toContain("Use 4200 mm");
    const ten: WalkStep[] = [["4.2m"], ["3.1m"], ["4.3m"], ["3.1m"]];
    expect(explained(ten, "metric").map((each) => each.slip)).toContain("ten");
  });

  it("says nothing where two slips are at work", () => {
    const two = withStep(0, ["17'4"]).map((step, index): WalkStep => (index === 1 ? ["8'3"] : step));
    expect(explained(two)).toEqual([]);
  });
});
