import { measured } from "../parts/dimension";
import { wallOf } from "../testing/library";
import { feet, inches } from "../units";
import { heightAt, highestOf, lowestUnderside, profileOf, slopeOf, undersideAt } from "./profile";
import type { Wall, WallShape } from "./schema";

const shaped = (shape: WallShape): Wall => ({
  ...wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8) }),
  shape,
});
/** 3 ft up and then 3 ft down, over 4 ft each: a rise of 9 in 12, so that a plate is 5/4 as thick upright (3-4-5). */
const tent = [
  { xNm: 0, yNm: feet(8) },
  { xNm: feet(4), yNm: feet(11) },
  { xNm: feet(8), yNm: feet(8) },
];
const PLATES = inches(4);

describe("the top of a wall", () => {
  it("goes up to the end it is said to, or over its peak", () => {
    const high = measured(feet(10), "");
    const ends = (shape: WallShape) => profileOf(shaped(shape)).map(({ xNm, yNm }) => [xNm / feet(1), yNm / feet(1)]);
    expect(ends({ how: "slope", up: "left", highHeight: high })).toEqual([
      [0, 10],
      [12, 8],
    ]);
    expect(ends({ how: "slope", up: "right", highHeight: high })).toEqual([
      [0, 8],
      [12, 10],
    ]);
    expect(ends({ how: "gable", peakHeight: high, peakAt: measured(feet(5), "") })).toEqual([
      [0, 8],
      [5, 10],
      [12, 8],
    ]);
    const breaks = (...at: number[]): WallShape => ({
      how: "points",
      points: at.map((each, index) => ({ id: `p${index}`, at: measured(feet(each), ""), height: high })),
    });
    expect(ends(breaks(4))).toEqual([
      [0, 8],
      [4, 10],
      [12, 10],
    ]);
    expect(ends(breaks(4, 12))).toEqual([
      [0, 8],
      [4, 10],
      [12, 10],
    ]);
  });

  it("is level while a figure of it is not measured", () => {
    const none = { valueNm: null, typed: "", assumed: false };
    const level = profileOf(shaped({ how: "level" }));
    expect(profileOf(shaped({ how: "slope", up: "left", highHeight: none }))).toEqual(level);
    expect(profileOf(shaped({ how: "gable", peakHeight: measured(feet(10), ""), peakAt: none }))).toEqual(level);
    expect(profileOf(shaped({ how: "gable", peakHeight: none, peakAt: measured(feet(5), "") }))).toEqual(level);
  });

  it("rises by its slope between its points, and a step has none", () => {
    const [start, peak] = tent;
    if (!start || !peak) throw new Error("a tent has points");
    expect(slopeOf(start, peak)).toBe(0.75);
    expect(slopeOf(start, { xNm: 0, yNm: feet(9) })).toBe(0);
    expect([0, 2, 4, 6, 8, 9].map((at) => heightAt(tent, feet(at)) / feet(1))).toEqual([8, 9.5, 11, 9.5, 8, 8]);
    expect(highestOf(tent)).toBe(feet(11));
  });

  it("has its plates under it, thicker upright than they lie: 4 in are 5 at 9 in 12", () => {
    expect(undersideAt(tent, feet(2), PLATES)).toBe(feet(9.5) - inches(5));
    expect(undersideAt(tent, feet(4), PLATES)).toBe(feet(11) - inches(5));
    // Past its end it is level.
    expect(undersideAt(tent, feet(9), PLATES)).toBe(feet(8) - inches(4));
  });

  it("is lowest over a stretch at an end of it, or at a valley within", () => {
    expect(lowestUnderside(tent, feet(2), feet(5), PLATES)).toBe(feet(9.5) - inches(5));
    expect(lowestUnderside(tent, feet(3), feet(7), PLATES)).toBe(feet(8.75) - inches(5));
    const valley = tent.map(({ xNm, yNm }) => ({ xNm, yNm: feet(19) - yNm }));
    expect(lowestUnderside(valley, feet(2), feet(7), PLATES)).toBe(feet(8) - inches(5));
    expect(lowestUnderside(valley, feet(5), feet(7), PLATES)).toBe(feet(8.75) - inches(5));
  });
});
