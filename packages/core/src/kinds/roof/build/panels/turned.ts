import { areaOfRing, type XY } from "../../../../geometry/skeleton";

/** A piece in its own box, its lower left corner at the origin. Millimetres. */
export type Boxed = { readonly corners: readonly XY[]; readonly wideMm: number; readonly highMm: number };

/** What a piece asks of a sheet: a rectangle of its own, one with another turned into it, or nothing as it is in another's. */
export type Sawn =
  | { readonly how: "alone" }
  | { readonly how: "first"; readonly wideMm: number; readonly highMm: number; readonly withIndex: number }
  | { readonly how: "second"; readonly ofIndex: number };

export function boxed(corners: readonly XY[]): Boxed {
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [left, low] = [Math.min(...xs), Math.min(...ys)];
  const shifted = corners.map(([x, y]): XY => [x - left, y - low]);
  return { corners: shifted, wideMm: Math.max(...xs) - left, highMm: Math.max(...ys) - low };
}

function isConvex(ring: readonly XY[]): boolean {
  const way = Math.sign(areaOfRing(ring));
  return ring.every(([x, y], index) => {
    const [bx, by] = ring[(index + 1) % ring.length] ?? [x, y];
    const [cx, cy] = ring[(index + 2) % ring.length] ?? [x, y];
    return way * ((bx - x) * (cy - by) - (by - y) * (cx - bx)) > -1;
  });
}

const turnedRound = ({ corners, wideMm, highMm }: Boxed): Boxed => ({
  corners: corners.map(([x, y]): XY => [wideMm - x, highMm - y]),
  wideMm,
  highMm,
});

/** How far a convex piece reaches at a height, to the left (−1) or to the right (1); nothing where it is not there. */
function reachAt({ corners }: Boxed, y: number, way: -1 | 1): number | undefined {
  let reach: number | undefined;
  for (const [index, [ax, ay]] of corners.entries()) {
    const [bx, by] = corners[index + 1] ?? corners[0] ?? [ax, ay];
    if ((ay < y - 1e-6 && by < y - 1e-6) || (ay > y + 1e-6 && by > y + 1e-6)) continue;
    const level = Math.abs(by - ay) < 1e-6;
    const x = level ? (way > 0 ? Math.max(ax, bx) : Math.min(ax, bx)) : ax + ((y - ay) / (by - ay)) * (bx - ax);
    if (reach === undefined || (x - reach) * way > 0) reach = x;
  }
  return reach;
}

/** How wide a rectangle is that holds one piece with another on its right, as close as their edges let them. */
function besideMm(left: Boxed, right: Boxed, kerfMm: number): number {
  let shift = 0;
  for (const { corners } of [left, right])
    for (const [, y] of corners) {
      const [a, b] = [reachAt(left, y, 1), reachAt(right, y, -1)];
      if (a !== undefined && b !== undefined) shift = Math.max(shift, a - b + kerfMm);
    }
  return Math.max(left.wideMm, shift + right.wideMm);
}

/** Which way a side of a piece leans: −1 to the left going up, 1 to the right, 0 upright. */
function leanOf(piece: Boxed, way: -1 | 1): number {
  const [low, high] = [reachAt(piece, 0, way), reachAt(piece, piece.highMm, way)];
  const lean = (high ?? 0) - (low ?? 0);
  return Math.abs(lean) < 1 ? 0 : Math.sign(lean);
}

/** A saw takes so much: common practice. */
const KERF_MM = 3;
/** A piece fills less of its box than this where turning another into it may save a sheet. */
const FULL = 0.97;

/** So many of the pieces that leave most over are tried for each: further down nothing is saved that is worth the wait. */
const MOST_TRIED = 12;

type Slanting = {
  readonly piece: Boxed;
  readonly round: Boxed;
  readonly index: number;
  readonly area: number;
  readonly over: number;
  /** Its left and its right side. */
  readonly leans: readonly [number, number];
};

type Pairing = { readonly with: Slanting; readonly wideMm: number; readonly highMm: number; readonly saved: number };

/** The piece that is best turned into what another leaves over of its rectangle. */
function bestFor(
  one: Slanting,
  others: readonly Slanting[],
  free: ReadonlySet<number>,
  wide: number,
): Pairing | undefined {
  let best: Pairing | undefined;
  let tried = 0;
  for (const other of others) {
    // What leaves most over comes first: no later one can save more than both leave together.
    if (tried === MOST_TRIED || (best && one.over + other.over <= best.saved)) break;
    if (!free.has(other.index)) continue;
    // Turned round, a side lies along the same side of the other: both have to lean alike.
    const [left, right] = [0, 1].map((side) => one.leans[side] !== 0 && one.leans[side] === other.leans[side]);
    if (!left && !right) continue;
    tried += 1;
    const wideMm = Math.min(
      right ? besideMm(one.piece, other.round, KERF_MM) : Number.POSITIVE_INFINITY,
      left ? besideMm(other.round, one.piece, KERF_MM) : Number.POSITIVE_INFINITY,
    );
    const highMm = Math.max(one.piece.highMm, other.piece.highMm);
    const own = one.piece.wideMm * one.piece.highMm + other.piece.wideMm * other.piece.highMm;
    const saved = own - wideMm * highMm;
    if (wideMm > wide + 1e-6 || saved <= 0) continue;
    if (!best || saved > best.saved) best = { with: other, wideMm, highMm, saved };
  }
  return best;
}

/**
 * Which slanting pieces are sawn two and two out of one rectangle, the second turned round by half: what a hip leaves over is used at the
 * next. Sheets keep their long way along the slope. Largest first, with the one that fits closest.
 */
export function turnedInto(
  pieces: readonly Boxed[],
  sheetMm: { readonly wide: number; readonly high: number },
): Sawn[] {
  const sawn = pieces.map((): Sawn => ({ how: "alone" }));
  const slanting = pieces.flatMap((piece, index): Slanting[] => {
    const area = Math.abs(areaOfRing(piece.corners));
    const box = piece.wideMm * piece.highMm;
    if (area >= box * FULL || !isConvex(piece.corners)) return [];
    const leans = [leanOf(piece, -1), leanOf(piece, 1)] as const;
    return [{ piece, round: turnedRound(piece), index, area, over: box - area, leans }];
  });
  const byOver = slanting.toSorted((a, b) => b.over - a.over);
  const free = new Set(slanting.map(({ index }) => index));
  for (const one of slanting.toSorted((a, b) => b.area - a.area)) {
    if (!free.delete(one.index)) continue;
    const best = bestFor(one, byOver, free, sheetMm.wide);
    if (!best) continue;
    free.delete(best.with.index);
    sawn[one.index] = { how: "first", wideMm: best.wideMm, highMm: best.highMm, withIndex: best.with.index };
    sawn[best.with.index] = { how: "second", ofIndex: one.index };
  }
  return sawn;
}
