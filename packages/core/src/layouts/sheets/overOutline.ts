import type { Point, Polygon } from "../../geometry";
import { intersect, without } from "../../geometry/grid";
import { areaOfRing, type XY } from "../../geometry/skeleton";
import { NM_PER_MM } from "../../units";

/** A sheet as it lies: along its course, and up from one course to the next. Millimetres. */
export type LyingSheet = { readonly alongMm: number; readonly upMm: number };

/** What of a sheet's place lies within the outline, in the outline's own plane. */
export type OutlineSheet = { readonly corners: readonly XY[]; readonly course: number };

const LEAST_MM2 = 400;

const toPoints = (ring: readonly XY[]): Polygon =>
  ring.map(([x, y]): Point => ({ xNm: Math.round(x * NM_PER_MM), yNm: Math.round(y * NM_PER_MM) }));
const toMm = (ring: Polygon): XY[] => ring.map(({ xNm, yNm }): XY => [xNm / NM_PER_MM, yNm / NM_PER_MM]);

/** A rectangle round something in the outline's plane. */
export type Box = { readonly left: number; readonly right: number; readonly low: number; readonly high: number };

export function boxRound(corners: readonly XY[]): Box {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of corners) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  }
  return { left, right, low, high };
}

const boxesMeet = (a: Box, b: Box): boolean => a.left < b.right && b.left < a.right && a.low < b.high && b.low < a.high;

/** Whether a line comes into a box, however little. */
function entersBox(from: XY, to: XY, { left, right, low, high }: Box): boolean {
  let [start, end] = [0, 1];
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  for (const [delta, least, most, at] of [
    [dx, left, right, from[0]],
    [dy, low, high, from[1]],
  ] as const) {
    if (Math.abs(delta) < 1e-12) {
      if (at <= least || at >= most) return false;
      continue;
    }
    const [a, b] = [(least - at) / delta, (most - at) / delta];
    start = Math.max(start, Math.min(a, b));
    end = Math.min(end, Math.max(a, b));
  }
  return start < end - 1e-12;
}

/** Whether a place lies in a ring. */
export function isWithin(ring: readonly XY[], [x, y]: XY): boolean {
  let inside = false;
  for (const [index, a] of ring.entries()) {
    const b = ring[(index + 1) % ring.length] ?? a;
    if (a[1] > y !== b[1] > y && x < a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0])) inside = !inside;
  }
  return inside;
}

/** The part of a ring on one side of an upright or level line (Sutherland and Hodgman 1974). */
function cutAt(ring: readonly XY[], axis: 0 | 1, at: number, keepAbove: boolean): XY[] {
  const inside = (place: XY) => (keepAbove ? place[axis] >= at : place[axis] <= at);
  return ring.flatMap((from, index): XY[] => {
    const to = ring[(index + 1) % ring.length] ?? from;
    const own: XY[] = inside(from) ? [from] : [];
    if (inside(from) === inside(to)) return own;
    const share = (at - from[axis]) / (to[axis] - from[axis]);
    const other = from[1 - axis] ?? 0;
    const across = other + share * ((to[1 - axis] ?? 0) - other);
    return [...own, axis === 0 ? [at, across] : [across, at]];
  });
}

const cutToBox = (ring: readonly XY[], { left, right, low, high }: Box): XY[] =>
  cutAt(cutAt(cutAt(cutAt(ring, 0, left, true), 0, right, false), 1, low, true), 1, high, false);

/** How often a ring comes into a box: once, and what lies in it hangs together. */
function entries(crossing: readonly boolean[]): number {
  return crossing.filter((crosses, index) => crosses && !crossing[(index + crossing.length - 1) % crossing.length])
    .length;
}

/** What of a box lies in a ring: all of it, nothing, or what the ring's sides leave. */
function clipped(box: Box, ring: readonly XY[]): (readonly XY[])[] {
  const crossing = ring.map((from, index) => entersBox(from, ring[(index + 1) % ring.length] ?? from, box));
  const corners: XY[] = [
    [box.left, box.low],
    [box.right, box.low],
    [box.right, box.high],
    [box.left, box.high],
  ];
  if (!crossing.some(Boolean))
    return isWithin(ring, [(box.left + box.right) / 2, (box.low + box.high) / 2]) ? [corners] : [];
  if (entries(crossing) > 1) return intersect(toPoints(corners), toPoints(ring)).map(toMm);
  return [withoutDoubles(cutToBox(ring, box))];
}

const withoutDoubles = (ring: readonly XY[]): XY[] =>
  ring.filter(([x, y], index) => {
    const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
    return Math.abs(nextX - x) > 1e-6 || Math.abs(nextY - y) > 1e-6;
  });

/** Where a course's sheets are counted from, and the foot of the first course; half a sheet back in every other course where nothing else is said. */
export type Courses = {
  readonly fromMm: number;
  /** Below the outline where the first course is not a whole one; its lowest corner where absent. */
  readonly footMm?: number;
  /** How far each course is shifted from the first. */
  readonly shiftMm?: (course: number) => number;
};

/**
 * Sheets in courses over outlines in one plane, each course shifted so that no joint runs on; cut where an outline ends, and where something is
 * cut out of it.
 */
export function layInCourses(
  rings: readonly (readonly XY[])[],
  holes: readonly (readonly XY[])[],
  { fromMm, footMm, shiftMm }: Courses,
  sheet: LyingSheet,
): OutlineSheet[] {
  const { left, right, low: lowest, high } = boxRound(rings.flat());
  const low = footMm ?? lowest;
  const boxedHoles = holes.map((hole) => ({ hole, round: boxRound(hole) }));
  const laid: OutlineSheet[] = [];
  const courses = Math.ceil((high - low) / sheet.upMm - 1e-6);
  for (let course = 0; course < courses; course += 1) {
    const origin = fromMm + (shiftMm?.(course) ?? (course % 2 === 1 ? sheet.alongMm / 2 : 0));
    const first = Math.floor((left - origin) / sheet.alongMm + 1e-6);
    for (let at = origin + first * sheet.alongMm; at < right - 1e-6; at += sheet.alongMm) {
      const from = low + course * sheet.upMm;
      const box = { left: at, right: at + sheet.alongMm, low: from, high: from + sheet.upMm };
      for (const ring of rings)
        for (const piece of clipped(box, ring).flatMap((each) => outsideHoles(each, boxedHoles)))
          if (Math.abs(areaOfRing(piece)) > LEAST_MM2) laid.push({ corners: piece, course });
    }
  }
  return laid;
}

type Hole = { readonly hole: readonly XY[]; readonly round: Box };

/** A hole that takes a piece apart leaves several; one within a piece is sawn out of it. */
function outsideHoles(piece: readonly XY[], holes: readonly Hole[]): readonly (readonly XY[])[] {
  let left: readonly (readonly XY[])[] = [piece];
  for (const hole of holes) {
    if (left.some((each) => boxesMeet(boxRound(each), hole.round)))
      left = left.flatMap((each) => outsideHole(each, hole));
  }
  return left;
}

function outsideHole(piece: readonly XY[], { hole }: Hole): readonly (readonly XY[])[] {
  const box = boxRound(piece);
  const meets = hole.some((from, index) => entersBox(from, hole[(index + 1) % hole.length] ?? from, box));
  if (!meets) return isWithin(hole, [(box.left + box.right) / 2, (box.low + box.high) / 2]) ? [] : [piece];
  return without(toPoints(piece), [toPoints(hole)]).map(toMm);
}
