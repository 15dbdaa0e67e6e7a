import { areaOf, loopOf } from "../../testing/outlines";
import { type RisingEdge, straightSkeleton, type XY } from "./index";

const rectangle = (width: number, depth: number): XY[] => [
  [0, 0],
  [width, 0],
  [width, depth],
  [0, depth],
];
const planAreas = (skeleton: ReturnType<typeof straightSkeleton>): number =>
  skeleton.ok
    ? skeleton.faces
        .flatMap((face) => face.rings.map((ring) => areaOf(ring.map(({ from }) => from))))
        .reduce((a, b) => a + b, 0)
    : Number.NaN;

describe("the straight skeleton", () => {
  it("of a rectangle all hipped: a ridge as long as the difference of its sides", () => {
    const form = straightSkeleton([loopOf(rectangle(10000, 6000), () => 1)]);
    if (!form.ok) throw new Error(form.why);
    expect(form.faces.map((face) => face.rings.map((ring) => ring.length))).toEqual([[4], [3], [4], [3]]);
    expect(Math.max(...form.faces.flatMap((face) => face.rings.flat().map(({ from }) => from[2])))).toBeCloseTo(3000);
    expect(planAreas(form)).toBeCloseTo(6e7);
  });

  it("of a square: four hips to a point", () => {
    const form = straightSkeleton([loopOf(rectangle(6000, 6000), () => 1)]);
    if (!form.ok) throw new Error(form.why);
    expect(form.faces.map((face) => face.rings[0]?.length)).toEqual([3, 3, 3, 3]);
  });

  it("of a rectangle with two standing sides: a gable roof, with a triangle at each end", () => {
    const form = straightSkeleton([loopOf(rectangle(10000, 6000), (index) => (index % 2 === 0 ? 1 : 0))]);
    if (!form.ok) throw new Error(form.why);
    expect(form.faces.map((face) => face.rings[0]?.length)).toEqual([4, 3, 4, 3]);
    expect(planAreas(form)).toBeCloseTo(6e7);
  });

  it("of one rising side: a lean-to", () => {
    const form = straightSkeleton([loopOf(rectangle(10000, 3000), (index) => (index === 0 ? 4 : 0))]);
    if (!form.ok) throw new Error(form.why);
    expect(planAreas(form)).toBeCloseTo(3e7);
  });

  it("of an L, all hipped", () => {
    const corners: XY[] = [
      [0, 0],
      [12000, 0],
      [12000, 5000],
      [6000, 5000],
      [6000, 11000],
      [0, 11000],
    ];
    const form = straightSkeleton([loopOf(corners, () => 1.5)]);
    if (!form.ok) throw new Error(form.why);
    expect(form.faces).toHaveLength(6);
    expect(planAreas(form)).toBeCloseTo(12000 * 5000 + 6000 * 6000);
  });

  it("stops level", () => {
    const form = straightSkeleton([loopOf(rectangle(10000, 6000), () => 1)], 1000);
    if (!form.ok) throw new Error(form.why);
    expect(form.flats).toHaveLength(1);
  });

  it("with a hole", () => {
    const hole: XY[] = [
      [4000, 4000],
      [4000, 6000],
      [6000, 6000],
      [6000, 4000],
    ];
    const form = straightSkeleton([loopOf(rectangle(10000, 10000), () => 1), loopOf(hole, () => 1)]);
    if (!form.ok) throw new Error(form.why);
    expect(planAreas(form)).toBeCloseTo(1e8 - 4e6);
  });

  it("says that nothing reaches an outline of standing sides alone", () => {
    expect(straightSkeleton([loopOf(rectangle(10000, 6000), () => 0)])).toEqual({ ok: false, why: "unreached" });
  });

  it("changes its slope at a height", () => {
    const edges = loopOf(rectangle(10000, 6000), (index) => (index % 2 === 0 ? 0.5 : 0)).map((edge, index) =>
      index % 2 === 0
        ? { ...edge, steps: [...edge.steps, { fromHeightMm: 2000, runPerRise: 2 }] as RisingEdge["steps"] }
        : edge,
    );
    const form = straightSkeleton([edges]);
    if (!form.ok) throw new Error(form.why);
    expect(form.faces).toHaveLength(6);
    expect(Math.max(...form.faces.flatMap((face) => face.rings.flat().map(({ from }) => from[2])))).toBeCloseTo(3000);
  });
});
