import type { Nanometres } from "../units";

/** Axis-aligned, in the plane of a wall: x from its left end, y up from its underside. */
export type Rectangle = {
  readonly xNm: Nanometres;
  readonly yNm: Nanometres;
  readonly widthNm: Nanometres;
  readonly heightNm: Nanometres;
};

export const right = (r: Rectangle): Nanometres => r.xNm + r.widthNm;
export const top = (r: Rectangle): Nanometres => r.yNm + r.heightNm;

/** Touching edges do not overlap. */
export const overlaps = (a: Rectangle, b: Rectangle): boolean =>
  a.xNm < right(b) && b.xNm < right(a) && a.yNm < top(b) && b.yNm < top(a);

/** The part of `a` inside `b`, or undefined where they do not overlap. */
export function intersection(a: Rectangle, b: Rectangle): Rectangle | undefined {
  if (!overlaps(a, b)) return undefined;
  const xNm = Math.max(a.xNm, b.xNm);
  const yNm = Math.max(a.yNm, b.yNm);
  return { xNm, yNm, widthNm: Math.min(right(a), right(b)) - xNm, heightNm: Math.min(top(a), top(b)) - yNm };
}

export const contains = (outer: Rectangle, inner: Rectangle): boolean =>
  inner.xNm >= outer.xNm && inner.yNm >= outer.yNm && right(inner) <= right(outer) && top(inner) <= top(outer);
