import { meetingOf } from "../line";

/** A place on plan in millimetres. The work is done in floating point; whoever asks rounds. */
export type XY = readonly [x: number, y: number];
export type XYZ = readonly [x: number, y: number, z: number];

/** From a height up an edge goes in by so much for each millimetre of rise: the cotangent of its pitch, 0 where it stands. */
export type SlopeStep = { readonly fromHeightMm: number; readonly runPerRise: number };

/** One side of an outline and how what rises from it slopes, its steps from 0 up. Inside lies on its left. */
export type RisingEdge = { readonly from: XY; readonly to: XY; readonly steps: readonly [SlopeStep, ...SlopeStep[]] };

/** A line on plan that moves inwards as the height grows: `normal · p = offset + runPerRise · (height − fromHeight)`. */
export type MovingLine = {
  readonly face: number;
  readonly edge: number;
  readonly along: XY;
  readonly normal: XY;
  readonly offsetMm: number;
  readonly fromHeightMm: number;
  readonly runPerRise: number;
};

export const dotOf = ([ax, ay]: XY, [bx, by]: XY): number => ax * bx + ay * by;
export const crossOf = ([ax, ay]: XY, [bx, by]: XY): number => ax * by - ay * bx;
export const apart = ([ax, ay]: XY, [bx, by]: XY): number => Math.hypot(bx - ax, by - ay);
export const leftXY = ([x, y]: XY): XY => [-y, x];

/** Above zero where the corners go against the clock (the shoelace formula); in the square of what the places are in. */
export const areaOfRing = (ring: readonly XY[]): number =>
  ring.reduce((sum, from, index) => sum + crossOf(from, ring[(index + 1) % ring.length] ?? from) / 2, 0);

/** Lines within this of each other in direction (the sine of the angle) are taken for parallel. */
const PARALLEL = 1e-9;

export const areParallel = (a: MovingLine, b: MovingLine): boolean => Math.abs(crossOf(a.along, b.along)) < PARALLEL;

export const offsetAt = ({ offsetMm, runPerRise, fromHeightMm }: MovingLine, heightMm: number): number =>
  offsetMm + runPerRise * (heightMm - fromHeightMm);

/** How a corner between two lines moves for each millimetre of rise; `undefined` where lines that run against each other never meet. */
export function velocityOf(before: MovingLine, after: MovingLine): XY | undefined {
  if (areParallel(before, after)) {
    if (dotOf(before.along, after.along) < 0) return undefined;
    return [after.normal[0] * after.runPerRise, after.normal[1] * after.runPerRise];
  }
  return meetingOf(
    { normal: before.normal, offset: before.runPerRise },
    { normal: after.normal, offset: after.runPerRise },
  );
}

/** Where two lines that are not parallel meet at a height. */
export const meetingAt = (before: MovingLine, after: MovingLine, heightMm: number): XY =>
  meetingOf(
    { normal: before.normal, offset: offsetAt(before, heightMm) },
    { normal: after.normal, offset: offsetAt(after, heightMm) },
  );

/** The line of an edge's step; `undefined` for an edge of no length. */
export function lineOf(edge: RisingEdge, index: number, face: number): MovingLine | undefined {
  const lengthMm = apart(edge.from, edge.to);
  if (lengthMm === 0) return undefined;
  const along: XY = [(edge.to[0] - edge.from[0]) / lengthMm, (edge.to[1] - edge.from[1]) / lengthMm];
  const normal = leftXY(along);
  const { fromHeightMm, runPerRise } = edge.steps[0];
  return { face, edge: index, along, normal, offsetMm: dotOf(normal, edge.from), fromHeightMm, runPerRise };
}
