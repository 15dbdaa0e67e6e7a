import type { Direction, Point } from "./point";

/** A pair of numbers on a plane, in the unit of whoever asks. */
type Pair = readonly [number, number];

/** A line by its unit normal and how far from the origin it lies along that: `normal · place = offset`. */
export type NormalLine = { readonly normal: Pair; readonly offset: number };

/** The sine of the angle within which lines are taken for parallel. */
const PARALLEL = 1e-9;

/** Where two lines meet by Cramer's rule; not finite where they are parallel. */
export function meetingOf(
  { normal: [ax, ay], offset: a }: NormalLine,
  { normal: [bx, by], offset: b }: NormalLine,
): Pair {
  const across = ax * by - ay * bx;
  return [(a * by - b * ay) / across, (ax * b - bx * a) / across];
}

/** Where two lines meet; undefined where they are parallel. */
export function whereLinesMeet(a: NormalLine, b: NormalLine, parallel = PARALLEL): Pair | undefined {
  const across = a.normal[0] * b.normal[1] - a.normal[1] * b.normal[0];
  return Math.abs(across) < parallel ? undefined : meetingOf(a, b);
}

/** How far to go in each of two directions to come to `target`, from the origin; undefined where they are parallel. */
export function lengthsToReach(
  target: Point,
  first: Direction,
  second: Direction,
  parallel = PARALLEL,
): [number, number] | undefined {
  const across = first.x * second.y - first.y * second.x;
  if (Math.abs(across) < parallel) return undefined;
  const a = (target.xNm * second.y - target.yNm * second.x) / across;
  const b = (first.x * target.yNm - first.y * target.xNm) / across;
  return [a, b];
}
