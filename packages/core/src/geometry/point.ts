import type { Nanometres } from "../units";

/** A place on a plan: x to the right, y up the page. */
export type Point = { readonly xNm: Nanometres; readonly yNm: Nanometres };

/** A direction of length one. */
export type Direction = { readonly x: number; readonly y: number };

export const ORIGIN: Point = { xNm: 0, yNm: 0 };

export const plus = (a: Point, b: Point): Point => ({ xNm: a.xNm + b.xNm, yNm: a.yNm + b.yNm });
export const minus = (a: Point, b: Point): Point => ({ xNm: a.xNm - b.xNm, yNm: a.yNm - b.yNm });
export const distance = (a: Point, b: Point): number => Math.hypot(b.xNm - a.xNm, b.yNm - a.yNm);
export const between = (a: Point, b: Point): Point => ({ xNm: (a.xNm + b.xNm) / 2, yNm: (a.yNm + b.yNm) / 2 });

/** The point a length away in a direction, in whole nanometres. */
export const along = (from: Point, direction: Direction, lengthNm: Nanometres): Point => ({
  xNm: from.xNm + Math.round(direction.x * lengthNm),
  yNm: from.yNm + Math.round(direction.y * lengthNm),
});

const SQUARE: readonly Direction[] = [
  { x: 1, y: 0 },
  { x: 0, y: 1 },
  { x: -1, y: 0 },
  { x: 0, y: -1 },
];

/** From 0 up to but not including 360. */
export const normalDegrees = (degrees: number): number => ((degrees % 360) + 360) % 360;

/** Degrees against the clock from the right of the page. Exact for square headings, so that square rooms close exactly. */
export function directionOf(degrees: number): Direction {
  const turned = normalDegrees(degrees);
  const square = turned % 90 === 0 ? SQUARE[turned / 90] : undefined;
  if (square) return square;
  const radians = (turned * Math.PI) / 180;
  return { x: Math.cos(radians), y: Math.sin(radians) };
}

/** The direction a quarter turn to the left. */
export const leftOf = (direction: Direction): Direction => ({ x: -direction.y, y: direction.x });
export const rightOf = (direction: Direction): Direction => ({ x: direction.y, y: -direction.x });

export const dot = (point: Point, direction: Direction): number => point.xNm * direction.x + point.yNm * direction.y;

/** The direction from one point to another; undefined where they are the same. */
export function headingFrom(a: Point, b: Point): Direction | undefined {
  const lengthNm = distance(a, b);
  return lengthNm === 0 ? undefined : { x: (b.xNm - a.xNm) / lengthNm, y: (b.yNm - a.yNm) / lengthNm };
}

/** Turned about the origin, in whole nanometres. */
export function turned(point: Point, degrees: number): Point {
  const { x, y } = directionOf(degrees);
  return { xNm: Math.round(point.xNm * x - point.yNm * y), yNm: Math.round(point.xNm * y + point.yNm * x) };
}
