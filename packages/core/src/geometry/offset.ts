import type { Nanometres } from "../units";
import { lengthsToReach } from "./line";
import { along, type Direction, distance, headingFrom, minus, type Point } from "./point";

/** An edge of a ring moved out by its own distance. */
export type OffsetEdge = {
  readonly from: Point;
  readonly to: Point;
  readonly outward: Direction;
  readonly byNm: Nanometres;
};
export type MovedEdge = { readonly from: Point; readonly to: Point };

/** A corner runs out at most so many times the offset; a sharper one is cut off. */
const LONGEST_MITRE = 4;

/** Its sine. */
const HALF_A_DEGREE = 0.009;

/** Where two lines meet, given a point and a direction of each; undefined where they are parallel, within half a degree. */
export function linesMeet(a: Point, alongA: Direction, b: Point, alongB: Direction): Point | undefined {
  const lengths = lengthsToReach(minus(b, a), alongA, alongB, HALF_A_DEGREE);
  return lengths && along(a, alongA, lengths[0]);
}

/** Where the moved lines of two edges meet; undefined where they run on, or run out too far. */
function mitre(before: OffsetEdge, next: OffsetEdge, corner: Point): Point | undefined {
  const alongBefore = headingFrom(before.from, before.to);
  const alongNext = headingFrom(next.from, next.to);
  if (!alongBefore || !alongNext) return undefined;
  const a = along(before.to, before.outward, before.byNm);
  const b = along(next.from, next.outward, next.byNm);
  const met = linesMeet(a, alongBefore, b, alongNext);
  const furthestNm = LONGEST_MITRE * Math.max(before.byNm, next.byNm);
  return met && distance(met, corner) <= furthestNm ? met : undefined;
}

/** A ring's edges moved outward, each by its own distance, with mitred corners. The last edge meets the first. */
export function offsetEdges(edges: readonly OffsetEdge[], closed = true): MovedEdge[] {
  const last = edges.length - 1;
  const meetsAt = edges.map((edge, index) => {
    const before = edges[index === 0 ? last : index - 1];
    if (!before || (!closed && index === 0)) return undefined;
    return mitre(before, edge, edge.from);
  });
  return edges.map((edge, index) => ({
    from: meetsAt[index] ?? along(edge.from, edge.outward, edge.byNm),
    to: meetsAt[index === last ? 0 : index + 1] ?? along(edge.to, edge.outward, edge.byNm),
  }));
}
