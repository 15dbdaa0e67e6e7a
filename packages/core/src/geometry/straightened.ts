import { type NormalLine, whereLinesMeet } from "./line";
import { distance, type Point } from "./point";
import type { Polygon } from "./polygon";

export type Straightened = {
  /** As many corners as came in. Edges too short to be any begin and end at one place. */
  readonly ring: Polygon;
  /** How far the corner moved that moved most. */
  readonly movedNm: number;
};

/** Less than this is how slanting figures are rounded. */
const ROUNDING_NM = 1000;

type Edge = { readonly index: number; readonly from: Point; readonly to: Point; readonly lengthNm: number };
type XY = readonly [number, number];

const edgesOf = (ring: Polygon): Edge[] =>
  ring.map((from, index) => {
    const to = ring[(index + 1) % ring.length] ?? from;
    return { index, from, to, lengthNm: distance(from, to) };
  });

const headingOf = ({ from, to, lengthNm }: Edge): XY => [
  (to.xNm - from.xNm) / lengthNm,
  (to.yNm - from.yNm) / lengthNm,
];

const cross = (a: XY, b: XY): number => a[0] * b[1] - a[1] * b[0];
const dot = (a: XY, b: XY): number => a[0] * b[0] + a[1] * b[1];
const quarterTurns = ([x, y]: XY): XY[] => [
  [x, y],
  [-y, x],
  [-x, -y],
  [y, -x],
];

/** How much of the ring runs exactly with an edge or square to it: a walk has its turns by the square, and its rounding in one edge. */
const trueLengthNm = (own: XY, edges: readonly Edge[]): number =>
  edges.reduce((sum, edge) => {
    const other = headingOf(edge);
    const off = Math.min(Math.abs(cross(own, other)), Math.abs(dot(own, other)));
    return off * edge.lengthNm <= ROUNDING_NM ? sum + edge.lengthNm : sum;
  }, 0);

/** The heading each edge runs in: that of an edge with more of the ring which it is parallel or square to, as near as any and within the tolerance. */
function headingsOf(edges: readonly Edge[], toleranceNm: number): ReadonlyMap<Edge, XY> {
  const known: XY[] = [];
  const headings = new Map<Edge, XY>();
  const ranked = edges
    .map((edge) => ({ edge, own: headingOf(edge), trueNm: trueLengthNm(headingOf(edge), edges) }))
    .toSorted((a, b) => b.trueNm - a.trueNm || b.edge.lengthNm - a.edge.lengthNm);
  for (const { edge, own } of ranked) {
    const off = (each: XY) => Math.abs(cross(each, own)) * edge.lengthNm;
    const [found] = known
      .flatMap(quarterTurns)
      .filter((each) => dot(each, own) > 0 && off(each) <= toleranceNm)
      .toSorted((a, b) => off(a) - off(b));
    if (!found) known.push(own);
    headings.set(edge, found ?? own);
  }
  return headings;
}

const middleOf = ({ from, to }: Edge): XY => [(from.xNm + to.xNm) / 2, (from.yNm + to.yNm) / 2];

function lineThrough([x, y]: XY, [dx, dy]: XY): NormalLine {
  const normal: XY = [-dy, dx];
  return { normal, offset: normal[0] * x + normal[1] * y };
}

/** Edges one after the other in one line, as far as the tolerance goes: each is given the line of the longest of them. */
function linesOf(edges: readonly Edge[], toleranceNm: number): NormalLine[] {
  const headings = headingsOf(edges, toleranceNm);
  const lines = edges.map((edge) => lineThrough(middleOf(edge), headings.get(edge) ?? headingOf(edge)));
  const offOf = ({ normal, offset }: NormalLine, [x, y]: XY) => Math.abs(normal[0] * x + normal[1] * y - offset);
  for (let step = 0; step < edges.length * 2; step += 1) {
    const [a, b] = [step % edges.length, (step + 1) % edges.length];
    const [one, other, first, second] = [lines[a], lines[b], edges[a], edges[b]];
    if (!one || !other || !first || !second || one === other) continue;
    const sameHeading = dot(one.normal, other.normal) > 1 - 1e-12;
    if (!sameHeading || offOf(one, middleOf(second)) > toleranceNm) continue;
    const kept = first.lengthNm >= second.lengthNm ? one : other;
    const gone = kept === one ? other : one;
    for (const [index, line] of lines.entries()) if (line === gone) lines[index] = kept;
  }
  return lines;
}

function onto({ normal, offset }: NormalLine, { xNm, yNm }: Point): Point {
  const off = normal[0] * xNm + normal[1] * yNm - offset;
  return { xNm: Math.round(xNm - normal[0] * off), yNm: Math.round(yNm - normal[1] * off) };
}

function cornerOf(before: NormalLine, after: NormalLine, was: Point): Point {
  if (before === after) return onto(before, was);
  const met = whereLinesMeet(before, after);
  return met ? { xNm: Math.round(met[0]), yNm: Math.round(met[1]) } : was;
}

/**
 * A ring of nanometres as it is built: edges that are parallel, square to each other or in one line within the tolerance are so, and
 * edges no longer than it are none. What a tape cannot tell apart is one. The ring as it was where that would move a corner further than
 * three times the tolerance, or leave fewer than three edges.
 */
export function straightened(ring: Polygon, toleranceNm: number): Straightened {
  const asItWas = { ring, movedNm: 0 };
  const edges = edgesOf(ring).filter(({ lengthNm }) => lengthNm > toleranceNm);
  if (edges.length < 3) return asItWas;
  const lines = linesOf(edges, toleranceNm);
  const starts = new Map<number, Point>();
  for (const [place, edge] of edges.entries()) {
    const [before, after] = [lines[(place + edges.length - 1) % edges.length], lines[place]];
    if (before && after) starts.set(edge.index, cornerOf(before, after, edge.from));
  }
  // A corner of an edge that is none is where the next begins that is one.
  const startFrom = (index: number): Point => {
    for (let step = 0; step < ring.length; step += 1) {
      const found = starts.get((index + step) % ring.length);
      if (found) return found;
    }
    return ring[index] ?? { xNm: 0, yNm: 0 };
  };
  const moved = ring.map((_, index) => startFrom(index));
  const movedNm = Math.max(...moved.map((corner, index) => distance(corner, ring[index] ?? corner)));
  const isAsBuilt = movedNm <= ROUNDING_NM || movedNm > 3 * toleranceNm;
  return isAsBuilt ? asItWas : { ring: moved, movedNm };
}
