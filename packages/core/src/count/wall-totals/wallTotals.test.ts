import {
  confirmedChoice,
  enterDimension,
  type FramingParameters,
  measured,
  type WallTotals,
  wallTotalsKind,
} from "../../parts";
import { contexts, library } from "../../testing/library";
import { feet, inches, metres, millimetres } from "../../units";
import { countPart } from "../index";

const context = contexts.imperial;
type Choices = { [K in keyof FramingParameters]?: FramingParameters[K]["value"] };

/** 118 ft of outside wall 9 ft high, 8 corners, 5 meeting walls, 11 openings: a job as a builder tells it. */
function totals(choices: Choices = {}, more: Partial<WallTotals> = {}): WallTotals {
  const start = wallTotalsKind.defaults("t", "Outside walls", context);
  const chosen = Object.entries(choices).map(([key, value]) => [key, confirmedChoice(value)]);
  return {
    ...start,
    length: measured(feet(118), ""),
    height: measured(feet(9), ""),
    corners: 8,
    meetings: 5,
    openings: 11,
    parameters: { ...start.parameters, ...Object.fromEntries(chosen) },
    ...more,
  };
}
const count = (part: WallTotals) => countPart(part, "imperial", library);
const quantity = (part: WallTotals, rule: string): number =>
  count(part)
    .lines.filter((line) => line.rule === rule)
    .reduce((sum, line) => sum + line.quantity, 0);

describe("walls by totals: what is asked for is counted", () => {
  it("bolts in each length of plate: seven of 16 ft with four each, and one of 6 ft with two (IRC R403.1.6)", () => {
    // 118 ft is seven pieces of 16 ft and a rest of 6 ft. 16 ft less 12 in at both ends is 14 ft: 3 spaces, 4 bolts.
    expect(quantity(totals({ anchorBolts: true, treatedPlate: true }), "anchorBoltsPlaced")).toBe(7 * 4 + 2);
    expect(quantity(totals({ anchorBolts: false }), "anchorBoltsPlaced")).toBe(0);
  });

  it("hold-downs at both ends of the run", () => {
    expect(quantity(totals({ holdDowns: true }), "holdDownsPlaced")).toBe(2);
  });

  it("clips up each two-stud corner, 24 in apart", () => {
    // Studs of 9 ft less three plates are 103 1/2 in: 5 spaces, 6 clips a corner.
    expect(quantity(totals({ cornerStyle: "two-stud" }), "boardClips")).toBe(8 * 6);
    expect(quantity(totals({ cornerStyle: "three-stud" }), "boardClips")).toBe(0);
  });

  it("nails along a treated plate that is not bolted: 16 in apart (IRC Table R602.3(1))", () => {
    // Seven of 16 ft take 13 each, 6 ft take 6.
    expect(quantity(totals({ treatedPlate: true, anchorBolts: false }), "plateNails")).toBe(7 * 13 + 6);
  });

  it("packing of headers, a strip beside each ply but one", () => {
    const bearing = { bearing: true, headerPacking: true };
    // Openings of 3 ft with two jacks of 1 1/2 in: 39 in each.
    expect(quantity(totals(bearing), "headerPackers") / 0.0254).toBeCloseTo(11 * 39, 6);
  });
});

describe("walls by totals: figures that no wall has", () => {
  const enter = (path: string, typed: string) => enterDimension(wallTotalsKind, totals(), path, typed, context);

  it.each([
    ["height", '4"', "too-low"],
    ["height", "60'", "too-high"],
    ["length", "100000 m", "too-long"],
    ["openingHeight", "9'", "head-above-plate"],
    ["openingWidth", "11'", "openings-too-wide"],
  ])("%s of %s is refused, and the last good one stays in force", (path, typed, code) => {
    const { part, problem } = enter(path, typed);
    expect(problem?.code).toBe(code);
    expect(quantity(part, "studs")).toBe(quantity(totals(), "studs"));
  });

  it("count no stud of negative length, and throw for no length", () => {
    const low = count(totals({}, { height: measured(inches(4), "") }));
    expect(low.lines).toEqual([]);
    expect(low.problems[0]?.code).toBe("too-low");
    expect(count(totals({}, { length: measured(Number.MAX_SAFE_INTEGER, "") })).problems[0]?.code).toBe("too-long");
    expect(() => count(totals({}, { length: measured(metres(1e9), "") }))).not.toThrow();
  });

  it("are not reckoned in more pieces than any house has", () => {
    const many = count(totals({ blockingEveryNm: millimetres(300) }, { length: measured(metres(4999), "") }));
    expect(many.openPoints.map((point) => point.message).join(" ")).toContain("are not laid out");
  });
});
