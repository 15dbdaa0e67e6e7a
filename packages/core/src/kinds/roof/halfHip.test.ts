import { contexts } from "../../testing/library";
import { rectangle, roofOf, said } from "../../testing/roofs";
import { feet, metres, NM_PER_MM } from "../../units";
import { withHipBy } from "./edges";
import { formOf } from "./form";
import { halfHipOf } from "./halfHip";
import { outlineOfRoof } from "./outline";
import { roofProblems } from "./problems";
import type { Roof } from "./schema";

const ends = ["eave", "half-hip", "eave", "half-hip"] as const;

/** 6 m across, 45°: its gable is 6 m less twice the height wide. Arithmetic. */
const roof = roofOf(
  "metric",
  rectangle(metres(10), metres(6), ends).map((edge) => ({ ...edge, hipFromNm: metres(2) })),
  { pitch: 1 },
);
const withWidth = (of: Roof, nm: number): Roof => ({
  ...of,
  edges: of.edges.map((edge) => (edge.end === "half-hip" ? { ...edge, hipWidth: said(nm) } : edge)),
});
const both = (of: Roof) => {
  const outline = outlineOfRoof(of);
  return outline.ok ? halfHipOf(of, outline.edges, "b") : undefined;
};
const gablesOf = (of: Roof): number[] => {
  const formed = formOf(of);
  return formed.ok ? formed.form.standing.map(({ areaM2 }) => areaM2) : [];
};

describe("a half-hip", () => {
  it("given by its width has the form of the height that goes with it", () => {
    expect(both(roof)).toEqual({ heightNm: metres(2), widthNm: metres(2) });
    const byWidth = withWidth(roof, metres(2));
    expect(both(byWidth)?.heightNm).toBeCloseTo(metres(2), -3);
    expect(gablesOf(byWidth)).toEqual([expect.closeTo(8, 4), expect.closeTo(8, 4)]);
  });

  it("keeps its form when the other figure is to give it, and is then assumed", () => {
    const byWidth = withHipBy(roof, "b", "width");
    const edge = byWidth.edges.find(({ id }) => id === "b");
    expect(edge?.hipWidth).toMatchObject({ valueNm: metres(2), assumed: true });
    expect(gablesOf(withHipBy(byWidth, "b", "height"))).toEqual([expect.closeTo(8, 4), expect.closeTo(8, 4)]);
  });

  it("follows the slopes beside it, each with its own pitch and its break", () => {
    // 24 ft; beside it 6 in 12 and 12 in 12: at 4 ft up it is 24 − 8 − 4 = 12 ft wide.
    const edges = rectangle(feet(40), feet(24), ends).map((edge, index) => ({ ...edge, pitch: index === 2 ? 1 : 0.5 }));
    const uneven = withWidth(roofOf("imperial", edges, { pitch: 0.5 }), feet(12));
    expect(Number(both(uneven)?.heightNm) / NM_PER_MM).toBeCloseTo(feet(4) / NM_PER_MM, 3);
    // 60° to 1 m up, then 30°: at 1.5 m up it is 6 − 2 × (1/√3 + 0.5 × √3) m wide.
    const steep = { value: Math.sqrt(3), typed: "", assumed: false };
    const broken: Roof = {
      ...roof,
      pitch: steep,
      breakHeight: said(metres(1)),
      upperPitch: { ...steep, value: 1 / Math.sqrt(3) },
    };
    const width = 6 - 2 * (1 / Math.sqrt(3) + 0.5 * Math.sqrt(3));
    expect(Number(both(withWidth(broken, metres(width)))?.heightNm) / NM_PER_MM).toBeCloseTo(1500, 2);
  });

  it("as wide as its edge, or wider than its gable ever is narrow, is told", () => {
    const told = (of: Roof) => roofProblems(of, contexts.metric).map(({ path }) => path);
    expect(told(withWidth(roof, metres(6)))).toEqual(["edges.b.hipWidth", "edges.d.hipWidth"]);
    const stands = {
      ...roof,
      edges: roof.edges.map((edge) => (edge.id === "a" ? { ...edge, end: "gable" as const } : edge)),
    };
    const flat = {
      ...stands,
      edges: stands.edges.map((edge) => (edge.id === "c" ? { ...edge, end: "gable" as const } : edge)),
    };
    expect(told(withWidth(flat, metres(2)))).toContain("edges.b.hipWidth");
  });
});
