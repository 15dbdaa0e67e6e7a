import {
  boundsOf,
  crossings,
  distance,
  ORIGIN,
  type Point,
  type Polygon,
  plus,
  type Rectangle,
  signedArea,
  turned,
  walkedPoints,
} from "../geometry";
import { millimetres, type Nanometres } from "../units";
import type { Dimension, DimensionSlot } from "./dimension";

/** One edge of an outline that was walked, and the turn at its end: degrees, to the left above zero. */
export type WalkedEdge = { readonly id: string; readonly length: Dimension; readonly turnDegrees: number };

/** Below this a gap is the rounding of a slanting edge, not a measurement. */
const NO_GAP_NM = millimetres(2);

/** An edge where it lies, the inside on its left. */
export type OutlineEdgeOnPlan<E> = { readonly edge: E; readonly from: Point; readonly to: Point };

export type WalkedOutline<E> =
  | {
      readonly ok: true;
      readonly edges: readonly OutlineEdgeOnPlan<E>[];
      readonly polygon: Polygon;
      /** Whether the inside lies up or down the page of the first edge. */
      readonly inwards: 1 | -1;
    }
  | { readonly ok: false; readonly why: "unmeasured" }
  | { readonly ok: false; readonly why: "gap"; readonly gap: Point }
  | { readonly ok: false; readonly why: "crosses"; readonly edges: readonly [E, E] };

/** The corners as they were walked: one more than edges. An unmeasured edge is of no length. */
export const cornersOf = (edges: readonly WalkedEdge[]): Point[] =>
  walkedPoints(edges.map(({ length, turnDegrees }) => ({ lengthNm: length.valueNm ?? 0, turnDegrees })));

/** The rectangle round a walk, on the page of the part. */
export function extentOf(edges: readonly WalkedEdge[]): Rectangle {
  const bounds = boundsOf(cornersOf(edges));
  if (!bounds) return { xNm: 0, yNm: 0, widthNm: 0, heightNm: 0 };
  const { min, max } = bounds;
  return { ...min, widthNm: max.xNm - min.xNm, heightNm: max.yNm - min.yNm };
}

/** The outline against the clock; the last corner is put on the first. */
export function outlineOf<E extends WalkedEdge>(edges: readonly E[]): WalkedOutline<E> {
  if (edges.some(({ length }) => length.valueNm === null)) return { ok: false, why: "unmeasured" };
  const walked = cornersOf(edges);
  const gap = walked[walked.length - 1] ?? ORIGIN;
  if (distance(gap, ORIGIN) > NO_GAP_NM) return { ok: false, why: "gap", gap };
  const corners = walked.slice(0, -1);
  const [crossed] = crossings(corners);
  if (crossed) {
    const [first, second] = [edges[crossed[0]], edges[crossed[1]]];
    if (first && second) return { ok: false, why: "crosses", edges: [first, second] };
  }
  const placed = edges.map((edge, index): OutlineEdgeOnPlan<E> => {
    const from = corners[index] ?? ORIGIN;
    return { edge, from, to: corners[(index + 1) % corners.length] ?? ORIGIN };
  });
  const against = signedArea(corners) >= 0;
  const ordered = against ? placed : placed.toReversed().map(({ edge, from, to }) => ({ edge, from: to, to: from }));
  return { ok: true, edges: ordered, polygon: ordered.map(({ from }) => from), inwards: against ? 1 : -1 };
}

/** `A`, `B` in the order they are walked; `A2` past the alphabet. */
export const edgeLetter = (edges: readonly { readonly id: string }[], id: string): string => {
  const index = edges.findIndex((edge) => edge.id === id);
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 0 ? "" : `${letter}${index < 26 ? "" : Math.floor(index / 26) + 1}`;
};

const isRectangle = (edges: readonly WalkedEdge[]): boolean => {
  const [first] = edges;
  if (!first || edges.length !== 4 || Math.abs(first.turnDegrees) !== 90) return false;
  return edges.every((edge) => edge.turnDegrees === first.turnDegrees);
};

/** Sides of a rectangle that are as long as those opposite until somebody measures them, by their ids: nobody is asked for them. */
export function likeOpposite(edges: readonly WalkedEdge[]): ReadonlySet<string> {
  const [a, b, c, d] = edges;
  if (!a || !b || !c || !d || !isRectangle(edges)) return new Set();
  const pairs = [
    [c, a],
    [d, b],
  ] as const;
  const alike = pairs.filter(
    ([edge, opposite]) => edge.length.assumed && edge.length.valueNm === opposite.length.valueNm,
  );
  return new Set(alike.map(([edge]) => edge.id));
}

/** How a figure is asked for, where it goes along with the side opposite. */
export const asked = (like: boolean): Pick<DimensionSlot, "follows" | "likeOpposite"> =>
  like ? { follows: true, likeOpposite: true } : {};

/** In a rectangle of which two sides were measured, those opposite follow until they are measured too. */
export function followRectangle<E extends WalkedEdge>(edges: readonly E[]): readonly E[] {
  const [a, b, c, d] = edges;
  if (!a || !b || !c || !d || !isRectangle(edges)) return edges;
  const follow = (edge: E, opposite: E): E => {
    const free = edge.length.assumed || edge.length.valueNm === null;
    if (!free || opposite.length.valueNm === null || edge.length.valueNm === opposite.length.valueNm) return edge;
    return { ...edge, length: { valueNm: opposite.length.valueNm, typed: "", assumed: true } };
  };
  return [a, b, follow(c, a), follow(d, b)];
}

/** Where something that was walked lies on the plan of its storey: its first corner, and the heading of its first edge. */
export type WalkedPlace = { readonly xNm: Nanometres; readonly yNm: Nanometres; readonly turnDegrees: number };

/** Each edge on the plan of its storey; nothing while the outline does not close. */
export function onPlan<E extends WalkedEdge>(edges: readonly E[], place: WalkedPlace): OutlineEdgeOnPlan<E>[] {
  const outline = outlineOf(edges);
  return outline.ok ? placedAt(outline.edges, place) : [];
}

/** Edges that lie on the page of their part, on the plan of its storey. */
export function placedAt<E>(edges: readonly OutlineEdgeOnPlan<E>[], place: WalkedPlace): OutlineEdgeOnPlan<E>[] {
  const moved = (point: Point): Point => plus(turned(point, place.turnDegrees), place);
  return edges.map(({ edge, from, to }) => ({ edge, from: moved(from), to: moved(to) }));
}
