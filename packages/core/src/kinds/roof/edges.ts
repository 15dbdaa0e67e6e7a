import { assumedDimension, type Dimension, unmeasured } from "../../parts/dimension";
import { type Figure, noFigure } from "../../parts/figure";
import { changeById } from "../../parts/figures";
import { feet, type MeasuringSystem, metres, millimetres, NM_PER_MM } from "../../units";
import { formOf } from "./form";
import { halfHipOf } from "./halfHip";
import { outlineOfRoof } from "./outline";
import { type EdgeEnd, MOST_EDGES, type Roof, type RoofEdge } from "./schema";
import { newEdge } from "./starts";

/** An edge that ends otherwise. A half-hip begins to slope at a height, assumed until it is measured; others have none. */
export function withEdgeEnd(roof: Roof, edgeId: string, end: EdgeEnd, system: MeasuringSystem): Roof {
  const hipFrom = (edge: RoofEdge): Dimension => {
    if (end !== "half-hip") return unmeasured;
    if (edge.hipFrom.valueNm !== null) return edge.hipFrom;
    return assumedDimension(system === "imperial" ? feet(4) : metres(1.2));
  };
  const hipWidth = (edge: RoofEdge): Dimension => (end === "half-hip" ? edge.hipWidth : unmeasured);
  const edges = changeById(roof.edges, edgeId, (edge) => ({
    ...edge,
    end,
    hipFrom: hipFrom(edge),
    hipWidth: hipWidth(edge),
  }));
  return { ...roof, edges, meetsOthers: roof.meetsOthers || end === "roof" };
}

/** A half-hip given by the other of its two figures, which is assumed to be what it comes to now. */
export function withHipBy(roof: Roof, edgeId: string, by: "height" | "width"): Roof {
  const outline = outlineOfRoof(roof);
  const now = outline.ok ? halfHipOf(roof, outline.edges, edgeId) : undefined;
  if (!now) return roof;
  const change = (edge: RoofEdge): RoofEdge =>
    by === "width"
      ? { ...edge, hipWidth: assumedDimension(now.widthNm) }
      : { ...edge, hipWidth: unmeasured, hipFrom: assumedDimension(now.heightNm) };
  return { ...roof, edges: changeById(roof.edges, edgeId, change) };
}

/** An edge with a pitch or an overhang of its own, as the roof's until it is changed; or with the roof's again. */
export function withEdgeOwn(roof: Roof, edgeId: string, name: "pitch" | "overhang", own: boolean): Roof {
  const change = (edge: RoofEdge): RoofEdge => {
    if (name === "pitch") {
      const pitch: Figure = own ? { ...roof.pitch, assumed: true } : noFigure;
      return { ...edge, pitch };
    }
    const usual = edge.end === "gable" || edge.end === "half-hip" ? roof.rakeOverhang : roof.overhang;
    return { ...edge, overhang: own ? { ...usual, assumed: true } : unmeasured };
  };
  return { ...roof, edges: changeById(roof.edges, edgeId, change) };
}

const freeId = (edges: readonly RoofEdge[]): string => {
  const taken = new Set(edges.map(({ id }) => id));
  for (let number = 1; ; number += 1) {
    const id = `e${number}`;
    if (!taken.has(id)) return id;
  }
};

/** One more edge of the walk after another, unmeasured; the same roof when it has as many as there can be. */
export function withEdgeAfter(roof: Roof, edgeId: string): Roof {
  const index = roof.edges.findIndex(({ id }) => id === edgeId);
  if (index < 0 || roof.edges.length >= MOST_EDGES) return roof;
  const edge = newEdge(freeId(roof.edges), "eave");
  return { ...roof, edges: [...roof.edges.slice(0, index + 1), edge, ...roof.edges.slice(index + 1)] };
}

/** Without an edge; the same roof where three are left, as fewer enclose nothing. */
export function withoutEdge(roof: Roof, edgeId: string): Roof {
  if (roof.edges.length <= 3) return roof;
  return { ...roof, edges: roof.edges.filter(({ id }) => id !== edgeId) };
}

/** The same with another turn after an edge: degrees, to the left above zero. */
export const withEdgeTurn = (roof: Roof, edgeId: string, turnDegrees: number): Roof => ({
  ...roof,
  edges: changeById(roof.edges, edgeId, (edge) => ({ ...edge, turnDegrees })),
});

/** With a steeper lower and a flatter upper pitch, both assumed until they are read. */
export function withTwoPitches(roof: Roof, system: MeasuringSystem): Roof {
  const lower = roof.pitch.value ?? 1;
  return {
    ...roof,
    breakHeight: assumedDimension(system === "imperial" ? feet(4) : metres(1.2)),
    upperPitch: { value: lower / 2, typed: "", assumed: true },
  };
}

/** With one pitch all the way up again. */
export const withoutBreak = (roof: Roof): Roof => ({ ...roof, breakHeight: unmeasured, upperPitch: noFigure });

/** Ended level half way up, assumed until it is measured; the same roof while it has no form. */
export function withFlat(roof: Roof, system: MeasuringSystem): Roof {
  const formed = formOf(roof);
  if (!formed.ok) return roof;
  const step = system === "imperial" ? feet(1) : millimetres(100);
  const half = Math.round((formed.form.highestMm * NM_PER_MM) / 2 / step) * step;
  return { ...roof, flatHeight: assumedDimension(Math.max(half, step)) };
}

export const withoutFlat = (roof: Roof): Roof => ({ ...roof, flatHeight: unmeasured });

/** With its edge along one of another roof: its place then follows that one. Begins at that edge's left end until it is measured. */
export function withBeside(roof: Roof, beside: Omit<NonNullable<Roof["beside"]>, "along">): Roof {
  const along = roof.beside?.along ?? assumedDimension(0);
  return { ...roof, beside: { ...beside, along }, meetsOthers: true };
}

/** Where it lies now, whatever others do. */
export const withoutBeside = ({ beside: _, ...roof }: Roof): Roof => roof;

export const withMeeting = (roof: Roof, meetsOthers: boolean): Roof => ({ ...roof, meetsOthers });
