import { feet, inches, toMetres } from "../../units";
import { fixingsInSheet, functionOf, roundDown, roundUp } from "./functions";
import { NOTHING_TO_ANSWER, type Value } from "./layoutAnswers";

const sizes: Record<string, { widthNm: number; heightNm: number }> = {
  "4x8": { widthNm: feet(4), heightNm: feet(8) },
  "4x9": { widthNm: feet(4), heightNm: feet(9) },
};
const laid = {
  ...NOTHING_TO_ANSWER,
  sheetSize: (id: string) => sizes[id],
  lengthsNm: (role: string) => (role === "stud" ? [feet(8), feet(8)] : role === "bottom-plate" ? [feet(12)] : []),
};
const run = (name: string, ...args: Value[]): number | undefined => functionOf(name)?.run(args, laid);
const metres = (inch: number): number => toMetres(inches(inch));

describe("fixings in a sheet, 6 in at its edges and 12 in on framing inside (IRC Table R602.3(1))", () => {
  // Round 4 by 8 ft: 288 / 6 = 48. Inside at 16 in two studs, at 24 in one, each with 96 / 12 - 1 = 7 of its own.
  it.each([
    ["4x8", 16, 48 + 2 * 7],
    ["4x8", 24, 48 + 7],
    ["4x8", 48, 48],
    ["4x9", 16, 52 + 2 * 8],
  ])("%s on framing at %d in: %d", (size, apart, fixings) => {
    expect(run("fixingsEach", size, metres(6), metres(12), metres(apart))).toBe(fixings);
  });

  it("are none inside where the framing's own spacing is longer than the sheet", () => {
    expect(fixingsInSheet({ widthNm: feet(4), heightNm: feet(1) }, 2, inches(6), inches(12))).toBe(20);
  });

  it("cannot be told of a sheet there is not, or at no distance", () => {
    for (const args of [
      ["5x5", 1, 1, 1],
      ["4x8", 0, 1, 1],
      ["4x8", 1, 0, 1],
      ["4x8", 1, 1, 0],
      ["4x8", -1, 1, 1],
    ])
      expect(run("fixingsEach", ...args)).toBeNaN();
  });
});

describe("what a formula asks of the pieces laid out", () => {
  it("is how many there are, how long they are together, and fixings along each", () => {
    expect([run("pieces", "stud"), run("pieces", "stud", "bottom-plate"), run("pieces", "king")]).toEqual([2, 3, 0]);
    expect(run("run", "stud", "bottom-plate")).toBeCloseTo(28 * 0.3048, 12);
    // 12 ft at 16 in: 9 spaces and 10 fixings; 8 ft: 6 and 7, twice.
    expect(run("along", metres(16), "bottom-plate", "stud")).toBe(10 + 2 * 7);
    expect([run("along", 0, "stud"), run("along", -1, "stud"), run("along", 1e300, "stud")]).toEqual([NaN, NaN, NaN]);
  });

  it("is what a sheet covers", () => {
    expect(run("sheetCover", "4x8")).toBeCloseTo(32 * 0.09290304, 12);
    expect(run("sheetCover", "none")).toBeNaN();
  });
});

describe("rounding", () => {
  it("is not moved by a hair, near nothing or near a million", () => {
    expect([roundUp(9 + 1e-10), roundUp(1e-10), roundUp(9.001), roundUp(1e6 + 1e-4), roundUp(1e6 + 0.01)]).toEqual([
      9,
      0,
      10,
      1e6,
      1e6 + 1,
    ]);
    expect([roundDown(9 - 1e-10), roundDown(-1e-10), roundDown(8.999)].map((each) => each + 0)).toEqual([9, 0, 8]);
  });
});
