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

  it.each<[string, WalkStep[], Explanation["slip"], string, string]>([
    ["a whole foot too long", withStep(1, ["8'9"]), "whole-unit", "r2", "Use 7' 9\""],
    ["a whole foot too short", withStep(4, ["10'2"]), "whole-unit", "r5", "Use 11' 2\""],
    ["ten inches", withStep(0, ["15'6"]), "ten", "a", "Use 16' 4\""],
    ["a swapped pair of figures", withStep(5, ["21'6"]), "swapped-figures", "r6", "Use 12' 6\""],
    ["a turn the wrong way", withStep(2, ["5'2", -90]), "wrong-turn", "r3", "Turn left"],
    ["the last wall missing", RIGHT.slice(0, 5), "missing-run", "r5", "Add 12' 6\""],
    [
      "a wall counted twice",
      [...RIGHT.slice(0, 5), ["11'2", 0], ["12'6"]].map((step, index) =>
        index === 4 ? ["11'2", 0] : index === 5 ? ["11'2", -90] : step,
      ) as WalkStep[],
      "counted-twice",
      "r6",
      "Take out Wall F",
    ],
  ])("finds %s", (_name, steps, slip, runId, action) => {
    const found = explained(steps);
    expect(found.map(({ slip: kind, runId: run, action: does }) => [kind, run, does])).toContainEqual([
      slip,
      runId,
      action,
    ]);
    for (const each of found) expect(closes(each)).toBe(true);
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
