import fc from "fast-check";
import { lusolve } from "mathjs";
import { lengthsToReach, meetingOf, whereLinesMeet } from "./line";

const turned = (degrees: number): readonly [number, number] => [
  Math.cos((degrees * Math.PI) / 180),
  Math.sin((degrees * Math.PI) / 180),
];

describe("where lines meet", () => {
  it("is what a general solver of linear equations says (mathjs)", () => {
    const offset = fc.integer({ min: -20_000, max: 20_000 });
    const angle = fc.integer({ min: 0, max: 359 });
    fc.assert(
      fc.property(angle, angle, offset, offset, (first, second, a, b) => {
        fc.pre((first - second) % 180 !== 0);
        const [one, two] = [turned(first), turned(second)];
        const solved = lusolve([[...one], [...two]], [a, b])
          .flat()
          .map(Number);
        const met = whereLinesMeet({ normal: one, offset: a }, { normal: two, offset: b });
        const scale = Math.max(1, ...solved.map(Math.abs));
        expect(Math.abs((met?.[0] ?? Number.NaN) - (solved[0] ?? 0)) / scale).toBeLessThan(1e-9);
        expect(Math.abs((met?.[1] ?? Number.NaN) - (solved[1] ?? 0)) / scale).toBeLessThan(1e-9);
      }),
      { numRuns: 300 },
    );
  });

  it("is nowhere for lines that are parallel, which run the same way or against each other", () => {
    for (const degrees of [0, 33, 90]) {
      const line = { normal: turned(degrees), offset: 1 };
      expect(whereLinesMeet(line, { normal: turned(degrees), offset: 2 })).toBeUndefined();
      expect(whereLinesMeet(line, { normal: turned(degrees + 180), offset: 2 })).toBeUndefined();
    }
    expect(meetingOf({ normal: [1, 0], offset: 1 }, { normal: [1, 0], offset: 2 }).every(Number.isFinite)).toBe(false);
  });

  it("says how far to go in each of two directions: 3 along, 4 up", () => {
    expect(lengthsToReach({ xNm: 3, yNm: 4 }, { x: 1, y: 0 }, { x: 0, y: 1 })).toEqual([3, 4]);
    expect(lengthsToReach({ xNm: 3, yNm: 4 }, { x: 1, y: 0 }, { x: -1, y: 0 })).toBeUndefined();
  });
});
