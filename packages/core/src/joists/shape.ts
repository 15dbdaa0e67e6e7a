import { type Point, type Polygon, signedArea } from "../geometry";
import { type OutlineEdgeOnPlan, outlineOf } from "../parts/walkedOutline";
import type { Nanometres } from "../units";
import type { JoistChoices } from "./choices";
import type { FloorOpening, JoistEdge, Joisted, JoistSpot } from "./schema";

/**
 * Joists are placed in axes of their own: `u` along them, `v` across, both from the first corner with the inside above zero. Whole
 * nanometres.
 */
export type UV = { readonly u: Nanometres; readonly v: Nanometres };

/** A rectangle along and across the joists. */
export type Area = {
  readonly u0: Nanometres;
  readonly u1: Nanometres;
  readonly v0: Nanometres;
  readonly v1: Nanometres;
};

export type JoistEdgeUV = { readonly edge: JoistEdge; readonly from: UV; readonly to: UV };

export type JoistShape = {
  /** Against the clock in the axes of the joists. */
  readonly ring: readonly UV[];
  readonly edges: readonly JoistEdgeUV[];
  /** As it lies on the page of the part. */
  readonly polygon: Polygon;
  readonly placed: readonly OutlineEdgeOnPlan<JoistEdge>[];
  readonly toUV: (point: Point) => UV;
  readonly fromUV: (place: UV) => Point;
};

const shapes = new WeakMap<object, JoistShape | undefined>();

/** The outline in the axes of its joists; undefined while it does not close. */
export function joistShape(part: Joisted): JoistShape | undefined {
  if (shapes.has(part)) return shapes.get(part);
  const shape = shapeOf(part);
  shapes.set(part, shape);
  return shape;
}

function shapeOf({ edges, runs }: Joisted): JoistShape | undefined {
  const outline = outlineOf(edges);
  if (!outline.ok) return undefined;
  const { inwards } = outline;
  const toUV = ({ xNm, yNm }: Point): UV =>
    runs === "along"
      ? { u: Math.round(xNm), v: Math.round(yNm * inwards) }
      : { u: Math.round(yNm * inwards), v: Math.round(xNm) };
  const fromUV = ({ u, v }: UV): Point =>
    runs === "along" ? { xNm: u, yNm: v * inwards } : { xNm: v, yNm: u * inwards };
  const placed = outline.edges.map(({ edge, from, to }) => ({ edge, from: toUV(from), to: toUV(to) }));
  const against = signedArea(placed.map(({ from }) => ({ xNm: from.u, yNm: from.v }))) >= 0;
  const ordered = against ? placed : placed.toReversed().map(({ edge, from, to }) => ({ edge, from: to, to: from }));
  return {
    ring: ordered.map(({ from }) => from),
    edges: ordered,
    polygon: outline.polygon,
    placed: outline.edges,
    toUV,
    fromUV,
  };
}

/** The corners of a rectangle, on the page of the part. */
export const cornersOfArea = ({ u0, u1, v0, v1 }: Area, { fromUV }: Pick<JoistShape, "fromUV">) =>
  [
    { u: u0, v: v0 },
    { u: u1, v: v0 },
    { u: u1, v: v1 },
    { u: u0, v: v1 },
  ].map(fromUV);

/** How far the outline reaches along and across its joists. */
export function reachOf(ring: readonly UV[]): Area {
  const [us, vs] = [ring.map(({ u }) => u), ring.map(({ v }) => v)];
  return { u0: Math.min(...us), u1: Math.max(...us), v0: Math.min(...vs), v1: Math.max(...vs) };
}

/** An opening as it is framed, along and across the joists; undefined while a figure of it is missing. */
export function openingArea(
  opening: FloorOpening,
  { runs }: Pick<Joisted, "runs">,
  { openingLining }: Pick<JoistChoices, "openingLining">,
): Area | undefined {
  const { along, off, length, width } = opening;
  if (along.valueNm === null || off.valueNm === null || length.valueNm === null || width.valueNm === null)
    return undefined;
  const more = opening.measuredAs === "clear" ? openingLining : 0;
  const [a0, a1] = [along.valueNm - more, along.valueNm + length.valueNm + more];
  const [b0, b1] = [off.valueNm - more, off.valueNm + width.valueNm + more];
  return runs === "along" ? { u0: a0, u1: a1, v0: b0, v1: b1 } : { u0: b0, u1: b1, v0: a0, v1: a1 };
}

/** Where something lies that was placed along Edge A and in from it; undefined while a figure is missing. */
export function spotPlace({ along, off }: JoistSpot, { runs }: Pick<Joisted, "runs">): UV | undefined {
  if (along.valueNm === null || off.valueNm === null) return undefined;
  return runs === "along" ? { u: along.valueNm, v: off.valueNm } : { u: off.valueNm, v: along.valueNm };
}

export const overhangOf = ({ overhang }: JoistEdge): Nanometres => Math.max(0, overhang?.valueNm ?? 0);

/** Between the outermost joists of the layout: what hangs over beside them is carried by ladders. */
export function bayOf({ ring, edges }: Pick<JoistShape, "ring" | "edges">): Area {
  const reach = reachOf(ring);
  const at = (v: Nanometres) =>
    Math.max(
      0,
      ...edges.filter((line) => runsWithJoists(line) && line.from.v === v).map(({ edge }) => overhangOf(edge)),
    );
  return { ...reach, v0: reach.v0 + at(reach.v0), v1: reach.v1 - at(reach.v1) };
}

/** Whether nothing carries the joists at an edge. */
export const isUnborne = (edge: JoistEdge, choices: Pick<JoistChoices, "edgesBear">): boolean =>
  ["open", "free"].includes(bearingOf(edge, choices));

export const bearingOf = (edge: JoistEdge, { edgesBear }: Pick<JoistChoices, "edgesBear">) => edge.bears ?? edgesBear;

/** An edge that runs with the joists: a joist lies along it. */
export const runsWithJoists = ({ from, to }: JoistEdgeUV): boolean => Math.abs(to.v - from.v) <= 1000;

/** How long an edge is, and places along it and in from it, its inside on the left. */
export type AlongEdge = {
  readonly lengthNm: Nanometres;
  readonly at: (alongNm: Nanometres, inwardNm: Nanometres) => UV;
};

export function alongEdge({ from, to }: Pick<JoistEdgeUV, "from" | "to">): AlongEdge {
  const lengthNm = Math.round(Math.hypot(to.u - from.u, to.v - from.v));
  const [du, dv] = lengthNm === 0 ? [1, 0] : [(to.u - from.u) / lengthNm, (to.v - from.v) / lengthNm];
  return {
    lengthNm,
    at: (alongNm, inwardNm) => ({
      u: Math.round(from.u + du * alongNm - dv * inwardNm),
      v: Math.round(from.v + dv * alongNm + du * inwardNm),
    }),
  };
}
