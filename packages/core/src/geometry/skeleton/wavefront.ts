import { areParallel, crossOf, dotOf, type MovingLine, meetingAt, offsetAt, velocityOf, type XY } from "./plane";
import { SAME_MM, type Stretch } from "./tidy";

/** A corner of the wavefront where a stretch begins: its place now and how it moves. */
export type Corner = {
  readonly stretch: Stretch;
  readonly before: MovingLine;
  readonly after: MovingLine;
  readonly at: XY;
  readonly velocity: XY;
};

/** One loop of corners, each at the start of its stretch. */
export type Loop = readonly Corner[];

/** Slower than this does not meet: a millimetre in a kilometre of rise. */
const STILL = 1e-9;

export function cornersOfLoop(
  stretches: readonly Stretch[],
  lines: readonly MovingLine[],
  place: (node: number) => XY,
): Loop | undefined {
  const corners: Corner[] = [];
  for (const [index, stretch] of stretches.entries()) {
    const before = lines[stretches[(index + stretches.length - 1) % stretches.length]?.line ?? -1];
    const after = lines[stretch.line];
    if (!before || !after) return undefined;
    const velocity = velocityOf(before, after);
    if (!velocity) return undefined;
    corners.push({ stretch, before, after, at: place(stretch.from), velocity });
  }
  return corners;
}

export function placeAt({ before, after, at, velocity }: Corner, nowMm: number, heightMm: number): XY {
  if (!areParallel(before, after)) return meetingAt(before, after, heightMm);
  const rise = heightMm - nowMm;
  return [at[0] + velocity[0] * rise, at[1] + velocity[1] * rise];
}

/** When a stretch shrinks to nothing. */
function vanishes(corner: Corner, next: Corner, nowMm: number): number | undefined {
  const { along } = corner.after;
  const lengthMm = dotOf(along, [next.at[0] - corner.at[0], next.at[1] - corner.at[1]]);
  const rate = dotOf(along, [next.velocity[0] - corner.velocity[0], next.velocity[1] - corner.velocity[1]]);
  return rate < -STILL ? nowMm + Math.max(0, lengthMm) / -rate : undefined;
}

const isReflex = ({ before, after }: Corner): boolean => crossOf(before.along, after.along) < 0;

/** When a corner that points inwards runs into a stretch elsewhere. */
function hits(corner: Corner, start: Corner, end: Corner, nowMm: number): number | undefined {
  const line = start.after;
  const gapMm = dotOf(line.normal, corner.at) - offsetAt(line, nowMm);
  const rate = dotOf(line.normal, corner.velocity) - line.runPerRise;
  if (gapMm <= SAME_MM || rate >= -STILL) return undefined;
  const rise = gapMm / -rate;
  const place = (each: Corner): number => dotOf(line.along, each.at) + dotOf(line.along, each.velocity) * rise;
  const [from, to, at] = [place(start), place(end), place(corner)];
  return at >= from - SAME_MM && at <= to + SAME_MM ? nowMm + rise : undefined;
}

/** The height at which the wavefront next changes; `undefined` where it never does. */
export function nextChange(loops: readonly Loop[], nowMm: number): number | undefined {
  let soonest: number | undefined;
  const take = (height: number | undefined) => {
    if (height !== undefined && (soonest === undefined || height < soonest)) soonest = height;
  };
  const nextOf = (loop: Loop, index: number): Corner | undefined => loop[(index + 1) % loop.length];
  const reflex = loops.flatMap((loop) => loop.filter(isReflex));
  for (const loop of loops) {
    for (const [index, start] of loop.entries()) {
      const end = nextOf(loop, index);
      if (!end) continue;
      take(vanishes(start, end, nowMm));
      for (const corner of reflex) {
        if (corner !== start && corner !== end) take(hits(corner, start, end, nowMm));
      }
    }
  }
  return soonest;
}
