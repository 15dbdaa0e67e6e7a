import fc from "fast-check";
import { contains, intersection, overlaps, type Rectangle, right, top } from "./rectangle";

const at = (xNm: number, yNm: number, widthNm: number, heightNm: number): Rectangle => ({
  xNm,
  yNm,
  widthNm,
  heightNm,
});
const side = fc.integer({ min: 1, max: 1000 });
const place = fc.integer({ min: -1000, max: 1000 });
const anyRectangle = fc.tuple(place, place, side, side).map(([x, y, width, height]) => at(x, y, width, height));

describe("rectangles", () => {
  it("that only touch do not overlap", () => {
    expect(overlaps(at(0, 0, 10, 10), at(10, 0, 10, 10))).toBe(false);
    expect(overlaps(at(0, 0, 10, 10), at(9, 9, 10, 10))).toBe(true);
    expect(intersection(at(0, 0, 10, 10), at(0, 10, 10, 10))).toBeUndefined();
  });

  it("meet in what lies in both, whichever is asked first", () => {
    expect(intersection(at(0, 0, 10, 10), at(4, 6, 10, 10))).toEqual(at(4, 6, 6, 4));
    fc.assert(
      fc.property(anyRectangle, anyRectangle, (a, b) => {
        const both = intersection(a, b);
        expect(both).toEqual(intersection(b, a));
        expect(both !== undefined).toBe(overlaps(a, b));
        if (both) expect(contains(a, both) && contains(b, both)).toBe(true);
      }),
    );
  });

  it("end at their right and top", () => {
    expect([right(at(2, 3, 4, 5)), top(at(2, 3, 4, 5))]).toEqual([6, 8]);
  });
});
