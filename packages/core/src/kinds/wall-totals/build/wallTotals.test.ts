import { countPart } from "../../../count";
import { contexts, library } from "../../../testing/library";
import { feet, inches, metres, millimetres } from "../../../units";
import {
  ALONE,
  enterDimension,
  type FramingChoices,
  measured,
  unmeasured,
  type WallTotals,
  wallTotalsKind,
} from "../..";

const context = contexts.imperial;

/** 118 ft of outside wall 9 ft high, 8 corners, 5 meeting walls, 11 openings: a job as a builder tells it. */
function totals(choices: Partial<FramingChoices> = {}, more: Partial<WallTotals> = {}): WallTotals {
  const start = wallTotalsKind.defaults("t", "Outside walls", context);
  return {
    ...start,
    length: measured(feet(118), ""),
    height: measured(feet(9), ""),
    corners: 8,
    meetings: 5,
    openings: 11,
    choices,
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

describe("walls by totals, every piece of them worked by hand", () => {
  /** `rule: how many × length in inches`, of what is cut. */
  const cut = (choices: Partial<FramingChoices>): string[] =>
    count(totals(choices))
      .lines.filter((line) => line.cutLengthsNm.length > 0)
      .map(({ rule, quantity: many, cutLengthsNm }) => {
        const lengths = [...new Set(cutLengthsNm.map((nm) => nm / inches(1)))];
        return `${rule}: ${many} × ${lengths.join(" / ")}`;
      });

  // 118 ft at 16 in: 88 1/2, so 89 spaces and 90 studs of 108 less 4 1/2 in. Plates of 16 ft, seven, and 6 ft.
  const plates = ["topPlateRuns: 8 × 192 / 72", "capPlateRuns: 8 × 192 / 72", "studs: 90 × 103.5"];

  it("outside, bearing: three-stud corners, two studs for each wall that meets it, two plies over 3 ft and two jacks", () => {
    expect(cut({})).toEqual([
      "bottomPlateRuns: 8 × 192 / 72",
      ...plates,
      "cornerStuds: 16 × 103.5",
      "meetingStuds: 10 × 103.5",
      "kings: 22 × 103.5",
      "headers: 22 × 39",
      "sills: 11 × 36",
    ]);
  });

  it("with four-stud corners, ladders, rows of blocking and double sills", () => {
    const choices = {
      cornerStyle: "four-stud" as const,
      meetingStyle: "ladder" as const,
      blockingEvery: feet(4),
      sillPlies: 2,
      treatedPlate: true,
      anchorBolts: true,
    };
    // Rungs 24 in apart: 103 1/2 in are 5 spaces, 4 rungs at each of 5. Blocks: 3 spaces of 4 ft, 2 rows in 89 bays.
    expect(cut(choices)).toEqual([
      "treatedPlateRuns: 8 × 192 / 72",
      ...plates,
      "cornerStuds: 24 × 103.5",
      "ladderBlocks: 20 × 14.5",
      "kings: 22 × 103.5",
      "headers: 22 × 39",
      "sills: 22 × 36",
      "blockingRows: 178 × 14.5",
    ]);
    // A row of blocking is for a whole stretch: none where studs are no higher than one.
    expect(cut({ ...choices, blockingEvery: feet(9) }).filter((line) => line.startsWith("blocking"))).toEqual([]);
  });

  it("with two-stud corners: one stud beyond the run's own at each, where the other wall begins", () => {
    expect(cut({ cornerStyle: "two-stud" })).toContain("cornerStuds: 8 × 103.5");
  });

  it("carrying nothing: a flat plate over each opening, over two jacks a side where it is as wide", () => {
    expect(cut({ bearing: false, twoJacksFrom: feet(2) })).toContain("flatPlates: 11 × 42");
    expect(cut({ bearing: false })).toContain("flatPlates: 11 × 39");
  });

  it("in boards by area: 118 by 9 ft less eleven openings, three layers, in sheets of 32 sq ft", () => {
    const part = totals({ boardsNear: 1, boardsFar: 2 });
    const less = 11 * ((part.openingWidth.valueNm ?? 0) / feet(1)) * ((part.openingHeight.valueNm ?? 0) / feet(1));
    const [near, far] = [1, 2].map((layers) => Math.ceil((layers * (118 * 9 - less)) / 32));
    expect(quantity(part, "boards")).toBe((near ?? 0) + (far ?? 0));
  });
});

describe("what is measured of walls by totals", () => {
  it("is their run, their face, and their openings by the usual size", () => {
    const part = totals({}, { openings: 4, corners: 6, meetings: 2 });
    const [width, height] = [part.openingWidth, part.openingHeight].map((each) => (each.valueNm ?? 0) / 1e9);
    const measuredOf = wallTotalsKind.quantities(part, ALONE);
    const face = 118 * 0.3048 * 9 * 0.3048;
    const openings = 4 * (width ?? 0) * (height ?? 0);
    const expected = {
      length: 118 * 0.3048,
      height: 9 * 0.3048,
      topRun: 118 * 0.3048,
      area: face,
      openingArea: openings,
      netArea: face - openings,
      openings: 4,
      doors: 0,
      windows: 4,
      openingWidths: 4 * (width ?? 0),
      casingRun: 4 * ((width ?? 0) + 2 * (height ?? 0)),
      corners: 6,
      meetings: 2,
    };
    expect(Object.keys(measuredOf).toSorted()).toEqual(Object.keys(expected).toSorted());
    for (const [name, value] of Object.entries(expected)) expect(measuredOf[name]).toBeCloseTo(value, 9);
    expect(wallTotalsKind.quantities(totals({}, { length: unmeasured }), ALONE)).toEqual({});
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
    const many = count(totals({ blockingEvery: millimetres(300) }, { length: measured(metres(4999), "") }));
    expect(many.openPoints.map((point) => point.message).join(" ")).toContain("are not laid out");
  });
});
