import { distance, dot, headingFrom, leftOf, type Point } from "../geometry";
import {
  assumedDimension,
  MOST_EDGES,
  measured,
  newRoofEdge,
  type Roof,
  type RoofEdge,
  roofOutlineOnPlan,
  withoutBeside,
} from "../kinds";
import { millimetres, type Nanometres } from "../units";
import { type FootprintEdge, footprintEdges } from "./footprintEdges";
import { ceilingOf } from "./levels";
import type { StoreyPlan } from "./storeyPlan";

const IN_LINE_NM = millimetres(300);
const IN_PLACE_NM = millimetres(1);

const degreesOf = ({ from, to }: Pick<FootprintEdge, "from" | "to">): number => {
  const heading = headingFrom(from, to) ?? { x: 1, y: 0 };
  const degrees = (Math.atan2(heading.y, heading.x) * 180) / Math.PI;
  return Math.abs(degrees - Math.round(degrees)) < 1e-6 ? Math.round(degrees) : degrees;
};

/** Between −180 and 180, both of which would lead back. */
const turnOf = (before: number, after: number): number => {
  const turn = (((after - before + 180) % 360) + 360) % 360;
  return turn - 180;
};

type Placed = { readonly edge: RoofEdge; readonly from: Point; readonly to: Point };

/** How far two stretches lie along each other; nothing where they are not about in line. */
function sharedNm(a: Pick<Placed, "from" | "to">, b: Pick<Placed, "from" | "to">): Nanometres {
  const heading = headingFrom(a.from, a.to);
  const other = headingFrom(b.from, b.to);
  if (!heading || !other || heading.x * other.x + heading.y * other.y < 0.99) return 0;
  const across = leftOf(heading);
  if (Math.abs(dot(b.from, across) - dot(a.from, across)) > IN_LINE_NM) return 0;
  return Math.min(dot(a.to, heading), dot(b.to, heading)) - Math.max(dot(a.from, heading), dot(b.from, heading));
}

/** Sides of the house that a roof can be put on: the outer ring of its footprint, where it closes and is one that a roof can have. */
export function roofRing(storey: StoreyPlan): readonly FootprintEdge[] {
  const edges = footprintEdges(storey);
  const [first] = edges;
  if (!first) return [];
  const last = edges.findIndex(({ to }) => distance(to, first.from) < IN_PLACE_NM);
  const ring = edges.slice(0, last + 1);
  return ring.length >= 3 && ring.length <= MOST_EDGES ? ring : [];
}

/** Where nobody measured the plate it is as high as the storey's highest level ceiling. */
function plateOver(roof: Roof, storey: StoreyPlan): Roof["plate"] {
  const ceilings = storey.rooms.flatMap(({ room }) => ceilingOf(room));
  return roof.plate.assumed && ceilings.length > 0 ? assumedDimension(Math.max(...ceilings)) : roof.plate;
}

/**
 * The roof over the outside of a storey, on that storey and where it lies on the plan. An edge that lay along the same side before keeps how it ends, its
 * pitch and its overhang; the others are eaves. The same roof where the storey has no outside yet.
 */
export function roofOverStorey(roof: Roof, storey: StoreyPlan): Roof {
  const ring = roofRing(storey);
  const [first] = ring;
  if (!first) return roof;
  const before = roofOutlineOnPlan(roof);
  const left = new Set(before);
  const edges = ring.map((side, index): RoofEdge => {
    const next = ring[(index + 1) % ring.length] ?? side;
    const best = [...left]
      .map((placed) => ({ placed, nm: sharedNm(side, placed) }))
      .reduce<{ placed: Placed; nm: number } | undefined>((a, b) => (b.nm > (a?.nm ?? 0) ? b : a), undefined);
    if (best) left.delete(best.placed);
    const kept = best?.placed.edge ?? newRoofEdge(freshId(index, roof.edges), "eave");
    return {
      ...kept,
      length: measured(side.lengthNm, ""),
      turnDegrees: turnOf(degreesOf(side), degreesOf(next)),
    };
  });
  return {
    ...withoutBeside(roof),
    storey: storey.name,
    plate: plateOver(roof, storey),
    meetsOthers: true,
    edges,
    place: { ...first.from, turnDegrees: degreesOf(first) },
  };
}

/** An id that none of the edges before had. */
function freshId(index: number, edges: readonly RoofEdge[]): string {
  const taken = new Set(edges.map(({ id }) => id));
  let id = `s${index + 1}`;
  while (taken.has(id)) id = `${id}+`;
  return id;
}
