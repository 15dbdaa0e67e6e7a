import { ALONE, partContext, type Room, rectangleDefaults, roomKind } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import { labelLines } from "./labelLines";
import { boundsOfPlan, fitPlan, placeFigure, shapeAt, shapePath, WHOLE } from "./planFit";

const context = partContext("imperial", library);
const FOOT = 304_800_000;
const sized = (a: number, b: number): Room => {
  const room = rectangleDefaults("r", "Hall", context);
  return roomKind.withDimension(
    roomKind.withDimension(room, "runs.a.length", a * FOOT, "", context),
    "runs.b.length",
    b * FOOT,
    "",
    context,
  );
};
const drawing = roomKind.draw(sized(20, 10), context, ALONE);
const fit = fitPlan(boundsOfPlan(drawing), 390, 300, false, WHOLE);

describe("a plan on its canvas", () => {
  it("lies within the canvas, as large as it can, the right way up", () => {
    const bounds = boundsOfPlan(drawing);
    const [low, high] = [
      fit.at({ xNm: bounds.left, yNm: bounds.foot }),
      fit.at({ xNm: bounds.right, yNm: bounds.top }),
    ];
    expect(low.x).toBeCloseTo(16, 6);
    expect(high.x).toBeCloseTo(374, 6);
    expect(low.y).toBeGreaterThan(high.y);
    expect(high.y).toBeGreaterThanOrEqual(16);
    expect(low.y).toBeLessThanOrEqual(284);
  });

  it("goes there and back, magnified and moved", () => {
    const moved = fitPlan(boundsOfPlan(drawing), 390, 300, false, { k: 3, x: -40, y: 25 });
    const point = { xNm: 3 * FOOT, yNm: -2 * FOOT };
    const back = moved.back(moved.at(point));
    expect(back.xNm).toBeCloseTo(point.xNm, -1);
    expect(back.yNm).toBeCloseTo(point.yNm, -1);
    expect(moved.pxPerNm).toBeCloseTo(3 * fit.pxPerNm, 12);
  });

  it("finds walls under a thumb, and the floor between them", () => {
    const at = (xFt: number, yFt: number) => shapeAt(drawing.shapes, fit, fit.at({ xNm: xFt * FOOT, yNm: yFt * FOOT }));
    expect(at(10, 0.1)?.id).toBe("a");
    expect(at(20.1, -5)?.id).toBe("b");
    expect(at(10, -5)?.id).toBe("floor");
    expect(at(10, -0.4)?.id).toBe("a");
    expect(at(40, 40)).toBeUndefined();
  });

  it("writes a wall's figure along it, its letter where there is no more room, and nothing where there is none", () => {
    const texts = (ft: number, widthPx: number) => {
      const small = roomKind.draw(sized(ft, 10), context, ALONE);
      const canvas = fitPlan(boundsOfPlan(small), widthPx, widthPx, false, WHOLE);
      return small.figures.map((figure) => placeFigure(figure, canvas)?.text);
    };
    expect(texts(20, 390).slice(0, 2)).toEqual(["A  20' 0\"", "B  10' 0\""]);
    expect(texts(2, 300)[0]).toBe("A");
    expect(texts(0.1, 60)[0]).toBeUndefined();
  });

  it("closes rings and leaves lines open", () => {
    const points = [
      { xNm: 0, yNm: 0 },
      { xNm: FOOT, yNm: 0 },
    ];
    expect(shapePath({ points, closed: true }, fit)).toMatch(/^M[\d. ]+L[\d. ]+z$/);
    expect(shapePath({ points, closed: false }, fit)).not.toContain("z");
  });

  it("stands in for a drawing with nothing in it", () => {
    const empty = fitPlan(boundsOfPlan({ shapes: [] }), 390, 300, false, WHOLE);
    expect(Number.isFinite(empty.at({ xNm: 0, yNm: 0 }).x)).toBe(true);
  });
});

describe("a room's name on the plan", () => {
  const lines = (widthPx: number, heightPx: number) =>
    labelLines({ lines: ["Drying cupboard", "15 sq ft"], widthNm: widthPx, heightNm: heightPx }, 1).map(
      (line) => line.text,
    );

  it("gives way as its room gets smaller, and never leaves it", () => {
    expect(lines(200, 100)).toEqual(["Drying cupboard", "15 sq ft"]);
    expect(lines(140, 26)).toEqual(["Drying cupboard"]);
    expect(lines(76, 50)).toEqual(["Drying", "cupboard"]);
    expect(lines(20, 20)).toEqual([]);
  });
});
