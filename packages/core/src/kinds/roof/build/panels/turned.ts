import type { XY } from "../../../../geometry/skeleton";

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

const areaOf = (ring: readonly XY[]): number =>
  ring.reduce((sum, [x, y], index) => {
    const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
    return sum + (x * nextY - nextX * y) / 2;
  }, 0);

function isConvex(ring: readonly XY[]): boolean {
  const way = Math.sign(areaOf(ring));
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

/** How far a convex piece reaches to the left and to the right at a height; nothing where it is not there. */
function reachAt({ corners }: Boxed, y: number): readonly [number, number] | undefined {
  const xs = corners.flatMap(([ax, ay], index) => {
    const [bx, by] = corners[(index + 1) % corners.length] ?? [ax, ay];
    if (Math.max(ay, by) < y - 1e-6 || Math.min(ay, by) > y + 1e-6) return [];
    return Math.abs(by - ay) < 1e-6 ? [ax, bx] : [ax + ((y - ay) / (by - ay)) * (bx - ax)];
  });
  return xs.length === 0 ? undefined : [Math.min(...xs), Math.max(...xs)];
}

/** How wide a rectangle is that holds one piece with another on its right, as close as their edges let them. */
function besideMm(left: Boxed, right: Boxed, kerfMm: number): number {
  const heights = [...left.corners, ...right.corners].map(([, y]) => y);
  const shifts = heights.flatMap((y) => {
    const [a, b] = [reachAt(left, y), reachAt(right, y)];
    return a && b ? [a[1] - b[0] + kerfMm] : [];
  });
  return Math.max(left.wideMm, Math.max(0, ...shifts) + right.wideMm);
}

/** A saw takes so much: common practice. */
const KERF_MM = 3;
/** A piece fills less of its box than this where turning another into it may save a sheet. */
const FULL = 0.97;

/**
 * Which slanting pieces are sawn two and two out of one rectangle, the second turned round by half: what a hip leaves over is used at the next.
 * Sheets keep their long way along the slope. Largest first, with the one that fits closest.
 */
export function turnedInto(
  pieces: readonly Boxed[],
  sheetMm: { readonly wide: number; readonly high: number },
): Sawn[] {
  const sawn = pieces.map((): Sawn => ({ how: "alone" }));
  const slanting = pieces
    .map((piece, index) => ({ piece, index, area: Math.abs(areaOf(piece.corners)) }))
    .filter(({ piece, area }) => area < piece.wideMm * piece.highMm * FULL && isConvex(piece.corners))
    .toSorted((a, b) => b.area - a.area);
  const free = new Set(slanting.map(({ index }) => index));
  for (const { piece, index } of slanting) {
    if (!free.delete(index)) continue;
    let best:
      | { readonly other: number; readonly wideMm: number; readonly highMm: number; readonly saved: number }
      | undefined;
    for (const { piece: second, index: other } of slanting) {
      if (!free.has(other)) continue;
      const round = turnedRound(second);
      const wideMm = Math.min(besideMm(piece, round, KERF_MM), besideMm(round, piece, KERF_MM));
      const highMm = Math.max(piece.highMm, second.highMm);
      const saved = piece.wideMm * piece.highMm + second.wideMm * second.highMm - wideMm * highMm;
      if (wideMm > sheetMm.wide + 1e-6 || saved <= 0) continue;
      if (!best || saved > best.saved) best = { other, wideMm, highMm, saved };
    }
    if (!best) continue;
    free.delete(best.other);
    sawn[index] = { how: "first", wideMm: best.wideMm, highMm: best.highMm, withIndex: best.other };
    sawn[best.other] = { how: "second", ofIndex: index };
  }
  return sawn;
}
