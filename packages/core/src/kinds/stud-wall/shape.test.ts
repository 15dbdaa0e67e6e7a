import { measured } from "../../parts/dimension";
import { ALONE } from "../../parts/partKind";
import { contexts, elevationOf, wallOf } from "../../testing/library";
import { feet, inches, type Nanometres } from "../../units";
import type { WallShape } from "../../wall";
import { grossAreaOf } from "../../wall/measures";
import { studWallKind } from "./index";
import type { StudWall } from "./schema";

const context = contexts.imperial;
const wall: StudWall = wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8) });
const level: StudWall = { ...wall, shape: { how: "level" } };
const shaped = (shape: WallShape): StudWall => ({ ...wall, shape });
const peak = (heightNm: Nanometres, atNm: Nanometres) =>
  shaped({ how: "gable", peakHeight: measured(heightNm, ""), peakAt: measured(atNm, "") });
const broken = (...points: readonly (readonly [atNm: Nanometres, heightNm: Nanometres])[]) =>
  shaped({
    how: "points",
    points: points.map(([atNm, heightNm], index) => ({
      id: `p${index + 1}`,
      at: measured(atNm, ""),
      height: measured(heightNm, ""),
    })),
  });
const slope = (heightNm: Nanometres) => shaped({ how: "slope", up: "right", highHeight: measured(heightNm, "") });
const problemsAt = (each: StudWall) => studWallKind.problems(each, context).map(({ path }) => path);

describe("the figures of a top that is not level", () => {
  it("are named by what they are, breaks by their place in the row", () => {
    const named = (each: StudWall) =>
      studWallKind
        .dimensions(each, context)
        .filter(({ path }) => path.startsWith("shape."))
        .map(({ path, label, of }) => `${path}: ${of} ${label}`);
    expect(named(level)).toEqual([]);
    expect(named(slope(feet(10)))).toEqual(["shape.highHeight:  Height, high end"]);
    expect(named(peak(feet(12), feet(6)))).toEqual([
      "shape.peakHeight:  Peak height",
      "shape.peakAt:  Peak from left end",
    ]);
    expect(named(broken([feet(4), feet(9)], [feet(8), feet(10)]))).toEqual([
      "shape.points.p1.at: Break 1 From left end",
      "shape.points.p1.height: Break 1 Height",
      "shape.points.p2.at: Break 2 From left end",
      "shape.points.p2.height: Break 2 Height",
    ]);
  });

  it("are set one by one, and no other with them", () => {
    const set = (each: StudWall, path: string) => studWallKind.withDimension(each, path, feet(9), "9'", context).shape;
    const nine = measured(feet(9), "9'");
    expect(set(slope(feet(10)), "shape.highHeight")).toMatchObject({ highHeight: nine });
    expect(set(peak(feet(12), feet(6)), "shape.peakAt")).toMatchObject({
      peakAt: nine,
      peakHeight: { valueNm: feet(12) },
    });
    expect(set(peak(feet(12), feet(6)), "shape.peakHeight")).toMatchObject({
      peakHeight: nine,
      peakAt: { valueNm: feet(6) },
    });
    const [first, second] = [feet(4), feet(8)];
    const before = broken([first, feet(9)], [second, feet(10)]);
    expect(set(before, "shape.points.p2.at")).toMatchObject({
      points: [
        { at: { valueNm: first }, height: { valueNm: feet(9) } },
        { at: nine, height: { valueNm: feet(10) } },
      ],
    });
    expect(set(before, "shape.points.p1.height")).toMatchObject({
      points: [{ at: { valueNm: first }, height: nine }, { at: { valueNm: second } }],
    });
  });

  it("stand between the ends, above the low height, and no higher than 15 m", () => {
    expect(problemsAt(slope(feet(8) + 1))).toEqual([]);
    expect(problemsAt(slope(feet(8)))).toEqual(["shape.highHeight"]);
    expect(problemsAt(slope(15_000_000_000))).toEqual([]);
    expect(problemsAt(slope(15_000_000_001))).toEqual(["shape.highHeight"]);
    expect(problemsAt(peak(feet(12), 1))).toEqual([]);
    expect(problemsAt(peak(feet(12), 0))).toEqual(["shape.peakAt"]);
    expect(problemsAt(peak(feet(12), feet(12) - 1))).toEqual([]);
    expect(problemsAt(peak(feet(12), feet(12)))).toEqual(["shape.peakAt"]);
  });

  it("of breaks go along the wall, each above the plates there: one at the foot, two at the top, of 1 1/2 in", () => {
    const plates = inches(4.5);
    expect(problemsAt(broken([feet(4), plates + 1], [feet(12), feet(10)]))).toEqual([]);
    expect(problemsAt(broken([feet(4), plates]))).toEqual(["shape.points.p1.height"]);
    expect(problemsAt(broken([feet(4), 15_000_000_000]))).toEqual([]);
    expect(problemsAt(broken([feet(4), 15_000_000_001]))).toEqual(["shape.points.p1.height"]);
    expect(problemsAt(broken([0, feet(9)]))).toEqual(["shape.points.p1.at"]);
    expect(problemsAt(broken([feet(12) + 1, feet(9)]))).toEqual(["shape.points.p1.at"]);
    expect(problemsAt(broken([feet(4), feet(9)], [feet(4), feet(10)]))).toEqual(["shape.points.p2.at"]);
  });
});

describe("the face of a wall, by school geometry", () => {
  const sqft = (each: StudWall) => grossAreaOf(each) / 0.09290304;
  it("is a rectangle, a trapezium, a house front", () => {
    expect(sqft(level)).toBeCloseTo(96, 9);
    expect(sqft(slope(feet(10)))).toBeCloseTo(12 * 9, 9);
    expect(sqft(peak(feet(12), feet(6)))).toBeCloseTo(12 * 8 + (12 * 4) / 2, 9);
    // 8 to 9 over 4 ft, 9 to 10 over the next 4, then level at 10.
    expect(sqft(broken([feet(4), feet(9)], [feet(8), feet(10)]))).toBeCloseTo(4 * 8.5 + 4 * 9.5 + 4 * 10, 9);
  });

  it("is drawn with the corners it has", () => {
    const corners = (each: StudWall) =>
      elevationOf(studWallKind.draw(each, context, ALONE)).rectangles.find(({ id }) => id === "outline")?.points;
    expect(corners(level)).toBeUndefined();
    expect(corners(peak(feet(12), feet(6)))).toEqual([
      { xNm: 0, yNm: feet(8) },
      { xNm: feet(6), yNm: feet(12) },
      { xNm: feet(12), yNm: feet(8) },
      { xNm: feet(12), yNm: 0 },
      { xNm: 0, yNm: 0 },
    ]);
  });
});
