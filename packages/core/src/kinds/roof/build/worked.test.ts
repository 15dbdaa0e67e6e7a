import { starterPriceList } from "@wide-porch/library";
import { countPart } from "../../../count/countPart";
import { isFraming } from "../../../drawing/piece";
import { withLongestSold } from "../../../order/longestSold";
import { timberList } from "../../../order/timberList";
import { library } from "../../../testing/library";
import { rectangle, roofOf, type TestEdge } from "../../../testing/roofs";
import { feet, inches, toInches } from "../../../units";
import type { Roof } from "../schema";

/** How many of a role have each run on plan, in inches, shortest first. */
function runsOf(roof: Roof, role: string): Record<string, number> {
  const runs = countPart(roof, "imperial", library)
    .pieces.filter(isFraming)
    .filter((piece) => piece.role === role)
    .map(({ cut }) => Number(toInches(cut?.runNm ?? 0).toFixed(2)))
    .toSorted((a, b) => a - b);
  const counts: Record<string, number> = {};
  for (const run of runs) counts[run] = (counts[run] ?? 0) + 1;
  return counts;
}

const lengthsOf = (roof: Roof, role: string): number[] =>
  countPart(roof, "imperial", library)
    .pieces.filter(isFraming)
    .filter((piece) => piece.role === role)
    .map(({ cutLengthNm }) => Number(toInches(cutLengthNm).toFixed(2)))
    .toSorted((a, b) => b - a);

/**
 * A wing 13 ft wide runs into one 19 ft wide; 6 in 12, laid out at 16 in from the corner of the two eaves. Worked by hand: arithmetic
 * on plan, where hips and valleys of one pitch run at 45 degrees.
 */
describe("an L with a hip and a valley", () => {
  const edges: TestEdge[] = [
    { lengthNm: feet(38), end: "eave" },
    { lengthNm: feet(13), end: "gable" },
    { lengthNm: feet(19), end: "eave", turn: -90 },
    { lengthNm: feet(13), end: "eave" },
    { lengthNm: feet(19), end: "gable" },
    { lengthNm: feet(26), end: "eave" },
  ];
  const roof = roofOf("imperial", edges, { pitch: 0.5 });

  it("has ridges of 25 1/2 and 16 1/2 ft", () => {
    expect(lengthsOf(roof, "ridge")).toEqual([306, 198]);
  });

  it("has a hip of 9 1/2 ft each way, one of 3, and a valley of 6 1/2", () => {
    expect(runsOf(roof, "hip-rafter")).toEqual({ "50.91": 1, "161.22": 1 });
    expect(runsOf(roof, "valley-rafter")).toEqual({ "110.31": 1 });
  });

  it("has jacks at the hips: 16 to 112 in on both sides of the corner, and two under the short hip", () => {
    expect(runsOf(roof, "hip-jack")).toEqual({
      "16": 2,
      "32": 2,
      "48": 2,
      "64": 2,
      "80": 2,
      "84": 1,
      "96": 2,
      "100": 1,
      "112": 2,
    });
  });

  it("has jacks from the valley to either ridge, and cripples between valley and hip", () => {
    expect(runsOf(roof, "valley-jack")).toEqual({ "10": 1, "26": 1, "42": 1, "58": 1, "74": 1, "86": 1, "102": 1 });
    // At 80 in there are 4 in between them, less half of both: too short to be cut.
    expect(runsOf(roof, "cripple-jack")).toEqual({ "36": 1, "68": 1 });
  });

  it("has commons over the rest: 19 and 14 of the narrow wing, 12 and 10 of the wide one, one at each end of a slope", () => {
    expect(runsOf(roof, "common-rafter")).toEqual({ "78": 35, "114": 24 });
  });

  it("cuts the shortest valley jack to 10 in, less half a ridge and half a valley at 45 degrees, along the slope", () => {
    // (10 − 3/4 − 3/4 × √2) × √1.25
    expect(lengthsOf(roof, "valley-jack").at(-1)).toBeCloseTo(9.16, 2);
  });
});

/** 24 by 20 ft, the long sides at 6 in 12, the short ones at 12 in 12. Worked by hand. */
describe("a hip roof of unequal pitches", () => {
  const edges = rectangle(feet(24), feet(20), ["eave", "eave", "eave", "eave"]).map((edge, index) =>
    index % 2 === 1 ? { ...edge, pitch: 1 } : edge,
  );
  const roof = roofOf("imperial", edges, { pitch: 0.5 });

  it("has hips that stand half as far from the steep ends as from the sides, and a ridge of 14 ft", () => {
    expect(lengthsOf(roof, "ridge")).toEqual([168]);
    // 5 by 10 ft on plan.
    expect(runsOf(roof, "hip-rafter")).toEqual({ "134.16": 4 });
  });

  it("has jacks that lengthen by 32 in a space on the sides and by 8 in on the ends", () => {
    const jacks = runsOf(roof, "hip-jack");
    // On the sides from both ends of 288 in: 16, 32, 48 and, from the other end, as many.
    for (const run of ["32", "64", "96"]) expect(jacks[run]).toBeGreaterThanOrEqual(4);
    for (const run of ["8", "24", "40", "56"]) expect(jacks[run]).toBe(4);
  });

  it("is told that the fascias do not meet with one overhang, and by which they would", () => {
    const apart = countPart(roofOf("imperial", edges, { pitch: 0.5, overhangNm: inches(16) }), "imperial", library);
    // 16 in × 0.5 / 1 = 8 in: tangents, not degrees.
    expect(apart.problems.map(({ message }) => message).join()).toContain('8" on Edge B');
  });
});

/** 12 ft along a wall, 8 ft out, 4 in 12. Worked by hand. */
describe("a lean-to", () => {
  const roof = roofOf("imperial", rectangle(feet(12), feet(8), ["eave", "gable", "wall", "gable"]), { pitch: 1 / 3 });

  it("has ten rafters of 96 in on plan, less the ledger they hang on, and no ridge", () => {
    expect(runsOf(roof, "common-rafter")).toEqual({ "96": 10 });
    // (96 − 1 1/2) × √(1 + 1/9)
    expect(new Set(lengthsOf(roof, "common-rafter"))).toEqual(new Set([99.61]));
    expect(lengthsOf(roof, "ridge")).toEqual([]);
    expect(lengthsOf(roof, "ledger")).toEqual([144]);
  });
});

describe("timber that is not sold so long", () => {
  const sold = withLongestSold(library, starterPriceList);

  it("joins a ridge of 38 ft over rafters within 20 ft", () => {
    const roof = roofOf("imperial", rectangle(feet(38), feet(20), ["eave", "gable", "eave", "gable"]), { pitch: 0.5 });
    const ridges = countPart(roof, "imperial", sold)
      .pieces.filter(isFraming)
      .filter(({ role }) => role === "ridge");
    // 15 spaces of 16 in are 20 ft.
    expect(ridges.map(({ cutLengthNm }) => toInches(cutLengthNm))).toEqual([240, 216]);
  });

  it("joins the plate of a gable of 26 ft within the 16 ft that studs are sold in", () => {
    const roof = roofOf("imperial", rectangle(feet(38), feet(26), ["eave", "gable", "eave", "gable"]), {
      pitch: 4 / 3,
      rakeNm: feet(1),
    });
    const cut = (role: string) =>
      countPart(roof, "imperial", sold)
        .pieces.filter(isFraming)
        .filter((piece) => piece.role === role)
        .map(({ cutLengthNm }) => Number(toInches(cutLengthNm).toFixed(1)));
    expect(cut("gable-plate")).toEqual([192, 120, 192, 120]);
    // 13 ft on plan at 16 in 12 are 21 ft 8 in: the engineered section has taken over, and is sold so long.
    expect(new Set(cut("barge-rafter"))).toEqual(new Set([260]));
    const count = countPart(roof, "imperial", sold);
    // The highest studs, 16 ft 4 in, are longer than any that is sold, and the list says so.
    const unsold = timberList(count, starterPriceList).filter(({ boughtNm }) => boughtNm === undefined);
    expect(new Set(unsold.map(({ role }) => role))).toEqual(new Set(["gable-stud"]));
  });

  it("takes the engineered section for rafters past 20 ft, all of them, with a notice; no line is dropped", () => {
    const roof = roofOf("imperial", rectangle(feet(30), feet(40), ["eave", "gable", "eave", "gable"]), { pitch: 0.5 });
    const count = countPart(roof, "imperial", sold);
    const rows = timberList(count, starterPriceList).filter(({ role }) => role === "common-rafter");
    expect(rows.map(({ sectionId, count: number, boughtNm }) => [sectionId, number, boughtNm])).toEqual([
      ["eng-9.5", 48, feet(24)],
    ]);
    expect(count.problems.map(({ message }) => message).join()).toContain("2 × 8 is sold up to 20' 0\"");
  });

  it("tells what neither is sold for", () => {
    const roof = roofOf("imperial", rectangle(feet(30), feet(90), ["eave", "gable", "eave", "gable"]), { pitch: 0.5 });
    const count = countPart(roof, "imperial", sold);
    expect(count.problems.map(({ message }) => message).join()).toContain("is sold so long");
    expect(count.lines.find(({ rule }) => rule === "commonRafters")?.quantity).toBe(48);
  });
});
