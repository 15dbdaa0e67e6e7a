import { distance, dot, headingFrom, leftOf, type Point } from "../geometry";
import { MOST_EDGES, measured } from "../kinds";
import type { OutlineEdgeOnPlan, WalkedEdge } from "../parts/walkedOutline";
import { millimetres, type Nanometres } from "../units";
import { type FootprintEdge, footprintEdges } from "./footprintEdges";
import type { StoreyPlan } from "./storeyPlan";

const IN_LINE_NM = millimetres(300);
const IN_PLACE_NM = millimetres(1);

export const degreesOf = ({ from, to }: Pick<FootprintEdge, "from" | "to">): number => {
  const heading = headingFrom(from, to) ?? { x: 1, y: 0 };
  const degrees = (Math.atan2(heading.y, heading.x) * 180) / Math.PI;
  return Math.abs(degrees - Math.round(degrees)) < 1e-6 ? Math.round(degrees) : degrees;
};

/** Between −180 and 180, both of which would lead back. */
const turnOf = (before: number, after: number): number => {
  const turn = (((after - before + 180) % 360) + 360) % 360;
  return turn - 180;
};

type Stretch = { readonly from: Point; readonly to: Point };

/** How far two stretches lie along each other; nothing where they are not about in line. */
function sharedNm(a: Stretch, b: Stretch): Nanometres {
  const heading = headingFrom(a.from, a.to);
  const other = headingFrom(b.from, b.to);
  if (!heading || !other || heading.x * other.x + heading.y * other.y < 0.99) return 0;
  const across = leftOf(heading);
  if (Math.abs(dot(b.from, across) - dot(a.from, across)) > IN_LINE_NM) return 0;
  return Math.min(dot(a.to, heading), dot(b.to, heading)) - Math.max(dot(a.from, heading), dot(b.from, heading));
}

/** The sides of the house as one ring, for what lies over or under it: the outer ring of its footprint, where it closes and has no more sides than can be. */
export function outsideRing(storey: StoreyPlan): readonly FootprintEdge[] {
  const edges = footprintEdges(storey);
  const [first] = edges;
  if (!first) return [];
  const last = edges.findIndex(({ to }) => distance(to, first.from) < IN_PLACE_NM);
  const ring = edges.slice(0, last + 1);
  return ring.length >= 3 && ring.length <= MOST_EDGES ? ring : [];
}

/**
 * Edges along a ring of the house. One that lay along the same side before keeps all that is said of it; the others are `fresh`, under
 * ids that no edge had.
 */
export function edgesOverRing<E extends WalkedEdge>(
  ring: readonly FootprintEdge[],
  edges: readonly E[],
  before: readonly OutlineEdgeOnPlan<E>[],
  fresh: (id: string) => E,
): E[] {
  const left = new Set(before);
  return ring.map((side, index): E => {
    const next = ring[(index + 1) % ring.length] ?? side;
    const best = [...left]
      .map((placed) => ({ placed, nm: sharedNm(side, placed) }))
      .reduce<{ placed: OutlineEdgeOnPlan<E>; nm: number } | undefined>(
        (a, b) => (b.nm > (a?.nm ?? 0) ? b : a),
        undefined,
      );
    if (best) left.delete(best.placed);
    const kept = best?.placed.edge ?? fresh(freshId(index, edges));
    return { ...kept, length: measured(side.lengthNm, ""), turnDegrees: turnOf(degreesOf(side), degreesOf(next)) };
  });
}

/** An id that none of the edges before had. */
function freshId(index: number, edges: readonly WalkedEdge[]): string {
  const taken = new Set(edges.map(({ id }) => id));
  let id = `s${index + 1}`;
  while (taken.has(id)) id = `${id}+`;
  return id;
}
