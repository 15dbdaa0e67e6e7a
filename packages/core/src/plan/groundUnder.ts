import { boundsOf, minus, type Point, turned } from "../geometry";
import {
  type Footing,
  type InnerLine,
  kindOf,
  measured,
  newPlateEdge,
  type Plate,
  unmeasured,
  type WallPart,
} from "../kinds";
import { onPlan } from "../parts/walkedOutline";
import { millimetres } from "../units";
import { degreesOf, edgesOverRing, outsideRing } from "./outsideRing";
import { standingWall } from "./standing";
import type { JobPlan, StoreyPlan } from "./storeyPlan";

/**
 * A slab or a raft under the outside of a storey, where it lies on the plan. An edge that lay along the same side before keeps its toe. The same
 * one where the storey has no outside yet.
 */
export function plateUnderStorey<P extends Plate>(plate: P, storey: StoreyPlan): P {
  const ring = outsideRing(storey);
  const [first] = ring;
  if (!first) return plate;
  const edges = edgesOverRing(ring, plate.edges, onPlan(plate.edges, plate.place), newPlateEdge);
  return { ...plate, storey: storey.name, edges, place: { ...first.from, turnDegrees: degreesOf(first) } };
}

/** A wall of the storey that carries, where it stands on the plan. */
type Carrying = { readonly name: string; readonly from: Point; readonly to: Point };

const carries = (wall: WallPart): boolean =>
  kindOf(wall).wall?.turnsCorners === true || ("bearing" in wall.choices && wall.choices.bearing === true);

/** Walls within a storey that carry: masonry, and framed ones that somebody said are bearing. Those of the outside are under it already. */
export function carryingWithin(storey: StoreyPlan, plan: JobPlan): Carrying[] {
  return plan.walls.filter(carries).flatMap((part): Carrying[] => {
    const standing = standingWall(part, plan);
    if (!standing || standing.storey.name !== storey.name) return [];
    const { wall, fromNm, toNm } = standing;
    const within = new Set(wall.faces.map(({ roomId }) => roomId)).size > 1;
    if (!within) return [];
    const at = (nm: number): Point => ({
      xNm: Math.round(wall.direction.x * nm + wall.normal.x * wall.centreNm),
      yNm: Math.round(wall.direction.y * nm + wall.normal.y * wall.centreNm),
    });
    return [{ name: part.name, from: at(fromNm), to: at(toNm) }];
  });
}

/** A wall is one that runs across where no more than this is missing at either end: the walls it stands against. */
const SHORT_NM = millimetres(900);

/**
 * Footings within, under walls that run all the way across or along; `left` counts those that do not, which somebody has to say.
 */
function linesUnder(
  walls: readonly Carrying[],
  footing: Footing,
): { readonly inner: InnerLine[]; readonly left: number } {
  const { place, edges } = footing;
  const corners = onPlan(edges, { ...place, xNm: 0, yNm: 0, turnDegrees: 0 }).map(({ from }) => from);
  const bounds = boundsOf(corners);
  if (!bounds) return { inner: [], left: walls.length };
  const local = (point: Point): Point => turned(minus(point, place), -place.turnDegrees);
  const { min, max } = bounds;
  const lines = walls.map(({ from, to }, index): InnerLine | undefined => {
    const [a, b] = [local(from), local(to)];
    const along = Math.abs(a.xNm - b.xNm) > Math.abs(a.yNm - b.yNm);
    const [start, end] = along ? [a.xNm, b.xNm] : [a.yNm, b.yNm];
    const [low, high] = along ? [min.xNm, max.xNm] : [min.yNm, max.yNm];
    const reaches = Math.min(start, end) - low <= SHORT_NM && high - Math.max(start, end) <= SHORT_NM;
    if (!reaches) return undefined;
    // From Edge A, which is the lowest: the ring of a house is walked with its inside on the left.
    const at = Math.round(along ? a.yNm - min.yNm : a.xNm - min.xNm);
    return { id: `wall-${index + 1}`, runs: along ? "along" : "across", at: measured(at, "") };
  });
  const inner = lines.filter((line) => line !== undefined);
  return { inner, left: lines.length - inner.length };
}

/**
 * A footing under the outside walls of a storey and the walls within that carry; steps stay with the side they are on. `left`: walls that
 * carry and have no footing, since they run only part of the way.
 */
export function footingUnderStorey(
  footing: Footing,
  storey: StoreyPlan,
  plan: JobPlan,
): { readonly footing: Footing; readonly left: number } {
  const ring = outsideRing(storey);
  const [first] = ring;
  if (!first) return { footing, left: 0 };
  const fresh = (id: string) => ({ id, length: unmeasured, turnDegrees: 90 });
  const before = footing.closed ? onPlan(footing.edges, footing.place) : [];
  const outside: Footing = {
    ...footing,
    storey: storey.name,
    closed: true,
    measuredAlong: "outside",
    edges: edgesOverRing(ring, footing.edges, before, fresh),
    place: { ...first.from, turnDegrees: degreesOf(first) },
  };
  const { inner, left } = linesUnder(carryingWithin(storey, plan), outside);
  return { footing: { ...outside, inner }, left };
}
