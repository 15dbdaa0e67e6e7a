import type { Nanometres } from "../../../units";

export type Span = { readonly startNm: Nanometres; readonly endNm: Nanometres };

/**
 * Divides a plate into pieces no longer than the longest stock, each joint at least `staggerNm` from the joints in
 * the layer below and from the ends of the plate.
 *
 * Source of the stagger: IRC R602.3.2, end joints in double top plates offset at least 24 in.
 */
export function spliceSpan(
  span: Span,
  longestNm: Nanometres,
  below: readonly Nanometres[],
  staggerNm: Nanometres,
): Span[] {
  const joints: Nanometres[] = [];
  const farthestFirst = below.toSorted((a, b) => b - a);
  let startNm = span.startNm;
  while (span.endNm - startNm > longestNm) {
    const jointNm = nextJoint(startNm, span.endNm, longestNm, farthestFirst, staggerNm);
    joints.push(jointNm);
    startNm = jointNm;
  }
  const edges = [span.startNm, ...joints, span.endNm];
  return edges.slice(1).map((endNm, index) => ({ startNm: edges[index] ?? span.startNm, endNm }));
}

/** The farthest joint the stock reaches that keeps clear of the layer below and leaves no stub at the end. */
function nextJoint(
  startNm: Nanometres,
  endNm: Nanometres,
  longestNm: Nanometres,
  belowFarthestFirst: readonly Nanometres[],
  staggerNm: Nanometres,
): Nanometres {
  let jointNm = Math.min(startNm + longestNm, endNm - staggerNm);
  for (const other of belowFarthestFirst) {
    if (Math.abs(other - jointNm) < staggerNm) jointNm = other - staggerNm;
  }
  // Stock shorter than two staggers leaves no clear place; the joint then goes as far as the stock reaches.
  return jointNm > startNm ? jointNm : Math.min(startNm + longestNm, endNm);
}

export const jointsOf = (pieces: readonly Span[]): Nanometres[] => pieces.slice(0, -1).map((piece) => piece.endNm);
