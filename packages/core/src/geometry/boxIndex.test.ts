import fc from "fast-check";
import { indexBoxes, widened } from "./boxIndex";
import type { Bounds } from "./polygon";

const box = (x: number, y: number, wide: number, high: number): Bounds => ({
  min: { xNm: x, yNm: y },
  max: { xNm: x + wide, yNm: y + high },
});
const arbitraryBox = fc
  .tuple(
    fc.integer({ min: -500, max: 500 }),
    fc.integer({ min: -500, max: 500 }),
    fc.integer({ min: 0, max: 200 }),
    fc.integer({ min: 0, max: 200 }),
  )
  .map(([x, y, wide, high]) => box(x, y, wide, high));
const touch = (a: Bounds, b: Bounds): boolean =>
  a.min.xNm <= b.max.xNm && b.min.xNm <= a.max.xNm && a.min.yNm <= b.max.yNm && b.min.yNm <= a.max.yNm;

describe("an index of boxes", () => {
  it("finds what asking every one of them would find, in the order they were given in", () => {
    fc.assert(
      fc.property(fc.array(arbitraryBox, { maxLength: 60 }), arbitraryBox, (boxes, asked) => {
        const found = indexBoxes(boxes, (each) => each)(asked);
        expect(found).toEqual(boxes.filter((each) => touch(each, asked)));
      }),
    );
  });

  it("never finds a thing without a box, and nothing among nothing", () => {
    expect(indexBoxes(["a", "b"], (item) => (item === "a" ? box(0, 0, 1, 1) : undefined))(box(0, 0, 9, 9))).toEqual([
      "a",
    ]);
    expect(indexBoxes([], () => undefined)(box(0, 0, 9, 9))).toEqual([]);
  });

  it("a box is widened on every side", () => {
    expect(widened(box(0, 0, 2, 4), 1)).toEqual(box(-1, -1, 4, 6));
  });
});
