import { drawnBounds } from "./snapshot";

/** Rows of `.` for empty and `#` for drawn. */
function pixels(...rows: string[]) {
  const width = rows[0]?.length ?? 0;
  const data = new Uint8ClampedArray(width * rows.length * 4);
  rows
    .join("")
    .split("")
    .forEach((each, index) => {
      data[index * 4 + 3] = each === "#" ? 255 : 0;
    });
  return { data, width, height: rows.length };
}

describe("what of a picture is drawn on", () => {
  it("is the least rectangle round it, its far edges just past", () => {
    expect(drawnBounds(pixels("......", "..##..", "...#..", "......"))).toEqual({
      left: 2,
      top: 1,
      right: 4,
      bottom: 3,
    });
    expect(drawnBounds(pixels("#...", "...#"))).toEqual({ left: 0, top: 0, right: 4, bottom: 2 });
  });

  it("is nothing on an empty canvas", () => {
    expect(drawnBounds(pixels("....", "...."))).toBeUndefined();
    expect(drawnBounds(pixels())).toBeUndefined();
  });
});
