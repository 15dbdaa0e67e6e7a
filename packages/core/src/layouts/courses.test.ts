import fc from "fast-check";
import { areaUnder, type Profile } from "../kinds";
import { feet, inches } from "../units";
import { lappedCourses } from "./courses";

const FT2 = 0.3048 ** 2;
const profile = (...points: readonly (readonly [number, number])[]): Profile =>
  points.map(([x, y]) => ({ xNm: feet(x), yNm: feet(y) }));

describe("a roll laid up a wall in lapped courses (worked by hand)", () => {
  it.each([
    ["9 ft high in one course of 9 ft", 9, 1],
    ["9 ft 1 in high in two", 9 + 1 / 12, 2],
    ["17 1/2 ft high, the most that two with a lap of 6 in reach", 17.5, 2],
    ["lower than the lap in one all the same", 0.25, 1],
  ])("%s", (_, height, courses) => {
    const area = lappedCourses(profile([0, height], [20, height]), feet(9), inches(6));
    expect(area).toBeCloseTo(courses * 9 * 20 * FT2, 6);
  });

  it("up a gable of 8 to 16 ft over 24 ft: the second course is as long as the gable is wide where the first ends", () => {
    // The first covers up to 9 ft. The slope is 8 in 12, so the gable is 21 ft wide there.
    const gable = profile([0, 8], [12, 16], [24, 8]);
    expect(lappedCourses(gable, feet(9), inches(6))).toBeCloseTo((9 * 24 + 9 * 21) * FT2, 6);
  });

  it("up a slope of 8 to 12 ft covers more than the low end's height would", () => {
    const slope = profile([0, 8], [12, 12]);
    expect(lappedCourses(slope, feet(9), inches(6))).toBeCloseTo((9 * 12 + 9 * 9) * FT2, 6);
  });

  it("always covers the wall's area, and with no lap and thin courses little more", () => {
    const heights = fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: 2, max: 20 })));
    fc.assert(
      fc.property(heights, fc.integer({ min: 1, max: 10 }), ([a, b, c], width) => {
        const top = profile([0, a ?? 2], [10, b ?? 2], [30, c ?? 2]);
        expect(lappedCourses(top, feet(width), inches(6))).toBeGreaterThanOrEqual(areaUnder(top) - 1e-9);
        const thin = lappedCourses(top, inches(1), 0) ?? 0;
        expect(thin).toBeGreaterThanOrEqual(areaUnder(top) - 1e-9);
        expect(thin).toBeLessThanOrEqual(areaUnder(top) + (30 / 12) * FT2 + 1e-9);
      }),
    );
  });

  it("comes to nothing where a course gets no higher than the one below", () => {
    expect(lappedCourses(profile([0, 9], [20, 9]), inches(6), inches(6))).toBeUndefined();
    expect(lappedCourses(profile([0, 9], [20, 9]), 1, 0)).toBeUndefined();
  });
});
