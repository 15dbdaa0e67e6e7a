import { countPart, partContext, studWallKind } from "@wide-porch/core/reckoning";
import { library } from "@wide-porch/library";
import { extentOf, fitDrawing } from "./drawingFit";
import { groupAlike, rectangleAt, rectanglePath } from "./drawingShapes";

const context = partContext("imperial", library);
const wall = studWallKind.withDimension(
  studWallKind.defaults("w", "W", context),
  "length",
  12 * 304_800_000,
  "12'",
  context,
);
const { drawing: drawn } = countPart(wall, "imperial", library);
if (drawn.kind !== "elevation") throw new Error("a wall is drawn square on");
const drawing = drawn;
const fit = fitDrawing(extentOf(drawing, true), 390, 280);

describe("the shapes of a wall", () => {
  it("are drawn back to front, each once, in a path for each look", () => {
    const groups = groupAlike(drawing.rectangles, new Set(["stud-1"]), undefined);
    expect(groups[0]?.role).toBe("outline");
    expect(groups.at(-1)).toMatchObject({ role: "stud", lit: true, members: [{ id: "stud-1" }] });
    expect(groups.flatMap((group) => group.members)).toHaveLength(drawing.rectangles.length);
  });

  it("close their paths", () => {
    for (const shape of drawing.rectangles)
      expect(rectanglePath(shape, fit)).toMatch(/^M[\d.]+ [\d.]+h[\d.]+v[\d.]+h-[\d.]+z$/);
  });

  it("are found by a press on them or a little beside them, and not between", () => {
    const stud = drawing.rectangles.find((shape) => shape.id === "stud-3");
    if (!stud) throw new Error("no third stud");
    const x = fit.x(stud.xNm);
    const y = fit.y(stud.yNm + stud.heightNm / 2);
    expect(rectangleAt(drawing.rectangles, fit, x + 1, y)?.id).toBe("stud-3");
    expect(rectangleAt(drawing.rectangles, fit, x - 5, y)?.id).toBe("stud-3");
    expect(rectangleAt(drawing.rectangles, fit, x - 15, y)).toBeUndefined();
  });
});
