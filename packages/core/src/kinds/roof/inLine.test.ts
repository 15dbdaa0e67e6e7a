import { roofOf, type TestEdge } from "../../testing/roofs";
import { metres } from "../../units";
import { formOf, type RoofForm } from "./form";
import { inLineWith, slopeOf } from "./outline";
import type { InLine, Roof } from "./schema";

const FRONT: readonly TestEdge[] = [
  { lengthNm: metres(6), turn: 0, end: "eave" },
  { lengthNm: metres(6), turn: 90, end: "eave", pitch: 1 },
];
const BEHIND: readonly TestEdge[] = [
  { lengthNm: metres(8), turn: 90, end: "gable" },
  { lengthNm: metres(12), turn: 90, end: "eave" },
  { lengthNm: metres(8), turn: 90, end: "gable" },
];

/** 12 m by 8 m with gables, half of its front twice as steep as all else. */
const roof = (inLine: InLine, front = FRONT): Roof => ({
  ...roofOf("metric", [...front, ...BEHIND], { pitch: 0.5 }),
  inLine,
});

function formed(of: Roof): RoofForm {
  const result = formOf(of);
  if (!result.ok) throw new Error(result.why);
  return result.form;
}
const areaM2 = (form: RoofForm): number => form.faces.reduce((sum, face) => sum + face.areaM2, 0);

// By arithmetic: the steep half has its ridge 8/3 m in and up, the flat half 4 m in and 2 m up.
describe("eaves in one line with unequal pitches", () => {
  it("have a wall between them: the triangle under 8/3 m, over the flat slope", () => {
    const form = formed(roof("step"));
    const cheeks = form.standing.filter(({ form: { cheek } }) => cheek);
    expect(cheeks.map((face) => Math.abs(face.areaM2))).toEqual([expect.closeTo(8 / 3, 6)]);
    const slopes = 6 * 8 * Math.hypot(1, 0.5) + (6 * 8 * Math.SQRT2) / 3 + 6 * (8 - 8 / 3) * Math.hypot(1, 0.5);
    expect(areaM2(form)).toBeCloseTo(slopes, 6);
  });

  it.each([
    ["flatter", 0.5, 2],
    ["steeper", 1, 8 / 3],
  ] as const)("take the %s pitch, with one ridge and no wall", (inLine, pitch, ridgeM) => {
    const of = roof(inLine);
    const form = formed(of);
    expect(of.edges.map((edge) => slopeOf(of, edge).pitch).slice(0, 2)).toEqual([pitch, pitch]);
    expect(form.standing.every((face) => !face.form.cheek)).toBe(true);
    expect(form.highestMm).toBeCloseTo(ridgeM * 1000, 3);
    const whole = roofOf("metric", [{ lengthNm: metres(12), turn: 90, end: "eave", pitch }, ...BEHIND], { pitch: 0.5 });
    expect(areaM2(form)).toBeCloseTo(areaM2(formed(whole)), 6);
  });

  it("leaves other edges, and roofs without such a line, as they are", () => {
    const of = roof("steeper");
    expect(of.edges.map((edge) => slopeOf(of, edge).pitch).slice(2)).toEqual([0.5, 0.5, 0.5]);
    const turned = roof("steeper", [{ lengthNm: metres(12), turn: 90, end: "eave" }]);
    expect(turned.edges.every((edge) => inLineWith(turned, edge).length === 0)).toBe(true);
  });

  it("finds a line across the start of the walk, and none past a gable", () => {
    const started = roof("step");
    const [first, ...rest] = started.edges;
    const moved: Roof = { ...started, edges: first ? [...rest, first] : rest };
    expect(moved.edges.map((edge) => inLineWith(moved, edge).length)).toEqual([2, 0, 0, 0, 2]);
    const edges = started.edges.map((edge, at) => (at === 0 ? { ...edge, end: "gable" as const } : edge));
    expect(edges.map((edge) => inLineWith({ edges }, edge).length)).toEqual([0, 0, 0, 0, 0]);
  });
});
