import { along, distance, headingFrom, leftOf, minus, offsetEdges, type Point, rightOf, turned } from "../geometry";
import {
  type FoundFloor,
  type FoundLine,
  type JoistEdge,
  type Joisted,
  joistShape,
  MOST_JOIST_EDGES,
  measured,
  newJoistEdge,
  overhangOf,
  runsWithJoists,
} from "../kinds";
import { onPlan, outlineOf } from "../parts/walkedOutline";
import { metres, millimetres, type Nanometres } from "../units";
import { footprintOf } from "./footprint";
import { type FootprintEdge, footprintEdges } from "./footprintEdges";
import { carryingWithin } from "./groundUnder";
import { degreesOf, edgesOverRing, outsideRing } from "./outsideRing";
import type { JobPlan, StoreyPlan } from "./storeyPlan";

/** Joists higher than this lie over the rooms of their storey; lower ones under them. */
const OVER_NM = metres(1.5);
/** A wall is one that runs across where no more than this is missing at either end: the walls it stands against. */
const SHORT_NM = millimetres(900);

const IN_PLACE_NM = millimetres(1);
/** A wall so near to an edge is the one that the edge lies on. */
const AT_EDGE_NM = millimetres(300);

/** The storey as if these were all its rooms. */
function onlyRooms(storey: StoreyPlan, roomIds: readonly string[]): StoreyPlan {
  const rooms = storey.rooms.filter(({ room }) => roomIds.includes(room.id));
  return { ...storey, rooms, footprint: footprintOf(rooms) };
}

/** The outside in rings: rooms that hang together nowhere have one each. */
function ringsOf(storey: StoreyPlan): FootprintEdge[][] {
  const rings: FootprintEdge[][] = [];
  let ring: FootprintEdge[] = [];
  for (const edge of footprintEdges(storey)) {
    ring.push(edge);
    const [first] = ring;
    if (!first || distance(edge.to, first.from) > IN_PLACE_NM) continue;
    rings.push(ring);
    ring = [];
  }
  return rings;
}

/** The sides it lies within, and in how many pieces apart from them more of it would lie. */
function ringUnder(
  { follows }: Joisted,
  storey: StoreyPlan,
): { readonly ring: readonly FootprintEdge[]; readonly apart: number } {
  if (follows.how !== "rooms") return { ring: outsideRing(storey), apart: 0 };
  const rings = ringsOf(onlyRooms(storey, follows.roomIds));
  const [chosenFirst] = follows.roomIds;
  const ring = rings.find((each) => each.some(({ roomId }) => roomId === chosenFirst)) ?? rings[0] ?? [];
  return { ring: ring.length <= MOST_JOIST_EDGES ? ring : [], apart: Math.max(0, rings.length - 1) };
}

type Side = { readonly from: Point; readonly to: Point; readonly edge: JoistEdge };

/** Sides moved by what each hangs over: out from the house, or back to its walls. */
const overhung = (sides: readonly Side[], out: boolean) =>
  offsetEdges(
    sides.map(({ from, to, edge }) => {
      const heading = headingFrom(from, to) ?? { x: 1, y: 0 };
      // The inside lies on the left.
      return { from, to, outward: out ? rightOf(heading) : leftOf(heading), byNm: overhangOf(edge) };
    }),
  );

/**
 * The edges over a ring with what was said of them. The outline was kept with what it hung over by then, which may have been said anew
 * since: it is looked for at its walls and where it lies, and taken as more of it is found.
 */
function keptOver(part: Joisted, ring: readonly FootprintEdge[]): JoistEdge[] {
  const lay = onPlan(part.edges, part.place);
  const atWalls = overhung(lay, false);
  const ids = new Set(part.edges.map(({ id }) => id));
  const found = (edges: readonly JoistEdge[]) => edges.filter(({ id }) => ids.has(id)).length;
  const over = (before: readonly Side[]) => edgesOverRing(ring, part.edges, before, newJoistEdge);
  const [walled, asItLay] = [over(lay.map((side, index) => ({ ...side, ...atWalls[index] }))), over(lay)];
  return found(asItLay) > found(walled) ? asItLay : walled;
}

/** The outline as the plan has it now, out to what hangs over, begun with the edge that was the first; the same part while there is none. */
function overPlan<P extends Joisted>(part: P, ring: readonly FootprintEdge[]): P {
  if (ring.length === 0) return part;
  const kept = keptOver(part, ring);
  const sides = ring.flatMap(({ from, to }, index): Side[] => {
    const edge = kept[index];
    return edge ? [{ from, to, edge }] : [];
  });
  const outer = overhung(sides, true);
  const edges = sides.map(({ edge, from, to }, index): JoistEdge => {
    const side = outer[index] ?? { from, to };
    return { ...edge, length: measured(Math.round(distance(side.from, side.to)), "") };
  });
  const begins = Math.max(
    0,
    edges.findIndex(({ id }) => id === part.edges[0]?.id),
  );
  const [first, side] = [ring[begins], outer[begins]];
  if (!first || !side) return part;
  const place = { xNm: Math.round(side.from.xNm), yNm: Math.round(side.from.yNm), turnDegrees: degreesOf(first) };
  return { ...part, edges: [...edges.slice(begins), ...edges.slice(0, begins)], place };
}

type Stretch = { readonly name: string; readonly from: Point; readonly to: Point };

/** Walls within a storey with a room on both sides, whatever they are built of. */
const wallsWithin = (storey: StoreyPlan): Stretch[] =>
  storey.walls.flatMap((wall): Stretch[] => {
    const roomIds = new Set(wall.faces.map(({ roomId }) => roomId));
    if (roomIds.size < 2) return [];
    const at = (nm: Nanometres): Point => ({
      xNm: Math.round(wall.direction.x * nm + wall.normal.x * wall.centreNm),
      yNm: Math.round(wall.direction.y * nm + wall.normal.y * wall.centreNm),
    });
    const names = storey.rooms.filter(({ room }) => roomIds.has(room.id)).map(({ room }) => room.name);
    return [{ name: `Wall between ${names.join(" and ")}`, from: at(wall.fromNm), to: at(wall.toNm) }];
  });

const besidesOf = (plan: JobPlan, storey: StoreyPlan, by: 1 | -1): StoreyPlan | undefined => {
  const index = plan.storeys.findIndex(({ name }) => name === storey.name);
  return index < 0 ? undefined : plan.storeys[index + by];
};

/** How many of the rooms it goes along with cannot be had. */
const missingRooms = ({ follows }: Joisted, storey: StoreyPlan): number =>
  follows.how === "rooms"
    ? follows.roomIds.filter((id) => !storey.rooms.some(({ room, polygon }) => room.id === id && polygon)).length
    : 0;

/** What carries the joists, and what stands on them, among the walls of the plan. */
function foundOn(part: Joisted, storey: StoreyPlan, plan: JobPlan, apart: number): FoundFloor {
  const shape = joistShape(part);
  const missing = missingRooms(part, storey);
  if (!shape) return { supports: [], doubled: [], short: [], apart, missing };
  const over = (part.top.valueNm ?? 0) > OVER_NM;
  const below = over ? storey : besidesOf(plan, storey, -1);
  const on = over ? besidesOf(plan, storey, 1) : storey;
  const local = (point: Point) => shape.toUV(turned(minus(point, part.place), -part.place.turnDegrees));
  const [us, vs] = [shape.ring.map(({ u }) => u), shape.ring.map(({ v }) => v)];
  const [u0, u1, v0, v1] = [Math.min(...us), Math.max(...us), Math.min(...vs), Math.max(...vs)];
  const short: string[] = [];
  const supports = (below ? carryingWithin(below, plan) : []).flatMap(({ name, from, to }): FoundLine[] => {
    const [a, b] = [local(from), local(to)];
    const at = Math.round((a.u + b.u) / 2);
    const across = Math.abs(a.v - b.v) > Math.abs(a.u - b.u);
    const [low, high] = [Math.min(a.v, b.v), Math.max(a.v, b.v)];
    if (!across || at - u0 < AT_EDGE_NM || u1 - at < AT_EDGE_NM || high <= v0 || low >= v1) return [];
    if (low - v0 > SHORT_NM || v1 - high > SHORT_NM) {
      short.push(name);
      return [];
    }
    return [{ name, atNm: at }];
  });
  const doubled = (on ? wallsWithin(on) : []).flatMap(({ name, from, to }): FoundLine[] => {
    const [a, b] = [local(from), local(to)];
    const at = Math.round((a.v + b.v) / 2);
    const along = Math.abs(a.u - b.u) > Math.abs(a.v - b.v);
    const within = Math.max(a.u, b.u) > u0 && Math.min(a.u, b.u) < u1;
    const atEdge = shape.edges.some((edge) => runsWithJoists(edge) && Math.abs(edge.from.v - at) < AT_EDGE_NM);
    return along && within && at > v0 && at < v1 && !atEdge ? [{ name, atNm: at }] : [];
  });
  return { supports, doubled, short, apart, missing };
}

/** Along a side of the house as it lies now: Edge A runs along it, and what it closes off lies outside. */
function besideHouse<P extends Joisted>(part: P, storey: StoreyPlan): P {
  if (part.follows.how !== "side") return part;
  const { roomId, side, from } = part.follows;
  const found = footprintEdges(storey).find(({ id }) => id === `${roomId}/${side}`);
  const known = { supports: [], doubled: [], short: [], apart: 0 };
  if (!found) return { ...part, found: { ...known, missing: 1 } };
  // The house lies on the left of its sides: what has its inside on the left of Edge A runs against them.
  const outline = outlineOf(part.edges);
  const against = outline.ok ? outline.inwards === 1 : (part.edges[0]?.turnDegrees ?? 90) > 0;
  const [start, end] = against ? [found.to, found.from] : [found.from, found.to];
  const heading = headingFrom(start, end) ?? { x: 1, y: 0 };
  const begins = against ? (from.valueNm ?? 0) : found.lengthNm - (from.valueNm ?? 0) - edgeNm(part);
  const at = along(start, heading, begins);
  const place = { xNm: at.xNm, yNm: at.yNm, turnDegrees: degreesOf({ from: start, to: end }) };
  return { ...part, place, found: { ...known, missing: 0 } };
}

const edgeNm = ({ edges }: Joisted): Nanometres => edges[0]?.length.valueNm ?? 0;

/** Joists as the plan has them: over what they follow, with the walls that carry them and those that stand on them. */
export function resolveJoisted<P extends Joisted>(part: P, plan: JobPlan): P {
  const storey = plan.storeys.find(({ name }) => name === part.storey);
  if (!storey || part.follows.how === "own") return part;
  if (part.follows.how === "side") return besideHouse(part, storey);
  const { ring, apart } = ringUnder(part, storey);
  const laid = overPlan(part, ring);
  return { ...laid, found: foundOn(laid, storey, plan, apart) };
}
