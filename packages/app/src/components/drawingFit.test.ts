import { ALONE, partContext, studWallKind } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import { extentOf, fitDrawing, neededHeightPx, placeDimension } from "./drawingFit";

const context = partContext("imperial", library);
const wall = studWallKind.withDimension(
  studWallKind.defaults("w", "W", context),
  "length",
  12 * 304_800_000,
  "12'",
  context,
);
const drawing = studWallKind.draw(wall, context, ALONE);
const extent = extentOf(drawing, true);

describe("fitting a drawing", () => {
  it("keeps the wall and its figures on the canvas, in proportion", () => {
    const fit = fitDrawing(extent, 390, neededHeightPx(extent, 390));
    expect(fit.x(0)).toBeGreaterThan(0);
    expect(fit.x(drawing.widthNm)).toBeLessThanOrEqual(390);
    expect(fit.y(drawing.heightNm)).toBeGreaterThanOrEqual(0);
    for (const dimension of drawing.dimensions) {
      const { button, line } = placeDimension(dimension, fit);
      expect(line.y1).toBeLessThanOrEqual(neededHeightPx(extent, 390));
      expect(button?.left).toBeGreaterThanOrEqual(-4);
    }
  });

  it("leaves a figure off where it has no room, for the list to show", () => {
    const fit = fitDrawing(extent, 390, 280);
    const narrow = { id: "n", direction: "along", fromNm: 0, toNm: 100_000_000, row: 1, text: '3 15/16"' } as const;
    expect(placeDimension(narrow, fit).fits).toBe(false);
  });
});
