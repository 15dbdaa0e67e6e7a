import { type Nanometres, NM_PER_M } from "../units";
import { type Direction, distance, dot, minus, type Point } from "./point";

/** Corners in order, either way round; the last is joined to the first. */
export type Polygon = readonly Point[];

const cross = (a: Point, b: Point): number =>
  (a.xNm / NM_PER_M) * (b.yNm / NM_PER_M) - (a.yNm / NM_PER_M) * (b.xNm / NM_PER_M);

export const edgesOf = (polygon: Polygon): readonly (readonly [Point, Point])[] =>
  polygon.map((point, index) => [point, polygon[(index + 1) % polygon.length] ?? point]);

/** In square metres; above zero when the corners go against the clock (the shoelace formula). */
export function signedArea(polygon: Polygon): number {
  const [origin] = polygon;
  if (!origin) return 0;
  return edgesOf(polygon).reduce((sum, [a, b]) => sum + cross(minus(a, origin), minus(b, origin)), 0) / 2;
}

export const polygonArea = (polygon: Polygon): number => Math.abs(signedArea(polygon));

export const perimeterNm = (polygon: Polygon): Nanometres =>
  Math.round(edgesOf(polygon).reduce((sum, [a, b]) => sum + distance(a, b), 0));

/** The middle of its area. */
export function centroid(polygon: Polygon): Point {
  const [origin] = polygon;
  const area = signedArea(polygon);
  if (!origin || area === 0) return origin ?? { xNm: 0, yNm: 0 };
  let x = 0;
  let y = 0;
  for (const [from, to] of edgesOf(polygon)) {
    const a = minus(from, origin);
    const b = minus(to, origin);
    const weight = cross(a, b) / (6 * area);
    x += (a.xNm + b.xNm) * weight;
    y += (a.yNm + b.yNm) * weight;
  }
  return { xNm: origin.xNm + x, yNm: origin.yNm + y };
}

/** On which side of the line from `a` to `b`: above zero is left. */
const side = (a: Point, b: Point, point: Point): number => cross(minus(b, a), minus(point, a));

const within = (a: Point, b: Point, point: Point): boolean =>
  Math.min(a.xNm, b.xNm) <= point.xNm &&
  point.xNm <= Math.max(a.xNm, b.xNm) &&
  Math.min(a.yNm, b.yNm) <= point.yNm &&
  point.yNm <= Math.max(a.yNm, b.yNm);

/** Whether two segments meet anywhere, ends included. */
export function segmentsMeet(a: Point, b: Point, c: Point, d: Point): boolean {
  const [c1, d1, a1, b1] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)].map(Math.sign);
  if (c1 !== d1 && a1 !== b1) return true;
  return (
    (c1 === 0 && within(a, b, c)) ||
    (d1 === 0 && within(a, b, d)) ||
    (a1 === 0 && within(c, d, a)) ||
    (b1 === 0 && within(c, d, b))
  );
}

/** Pairs of edges, by number, that meet elsewhere than at the corner they share. An open line has no last edge. */
export function crossings(corners: Polygon, closed = true): readonly (readonly [number, number])[] {
  const edges = closed ? edgesOf(corners) : edgesOf(corners).slice(0, -1);
  return edges.flatMap(([a, b], i) =>
    edges.slice(i + 2).flatMap(([c, d], further): [number, number][] => {
      const j = i + 2 + further;
      const neighbours = closed && i === 0 && j === edges.length - 1;
      return !neighbours && segmentsMeet(a, b, c, d) ? [[i, j]] : [];
    }),
  );
}

/** Whether a point lies inside; on an edge is either. */
export function isInside(polygon: Polygon, point: Point): boolean {
  let inside = false;
  for (const [a, b] of edgesOf(polygon)) {
    if (a.yNm > point.yNm === b.yNm > point.yNm) continue;
    const x = a.xNm + ((point.yNm - a.yNm) / (b.yNm - a.yNm)) * (b.xNm - a.xNm);
    if (point.xNm < x) inside = !inside;
  }
  return inside;
}

/**
 * The part of a polygon on one side of a line: where `dot(point, direction)` is at most `limitNm`. Of a polygon with bays
 * the pieces come joined along the line, which leaves area and centroid right.
 */
export function keptBelow(polygon: Polygon, direction: Direction, limitNm: number): Polygon {
  return edgesOf(polygon).flatMap(([a, b]) => {
    const atA = dot(a, direction) - limitNm;
    const atB = dot(b, direction) - limitNm;
    const kept = atA <= 0 ? [a] : [];
    if (atA <= 0 === atB <= 0) return kept;
    const share = atA / (atA - atB);
    return [...kept, { xNm: a.xNm + (b.xNm - a.xNm) * share, yNm: a.yNm + (b.yNm - a.yNm) * share }];
  });
}

export type Bounds = { readonly min: Point; readonly max: Point };

/** Undefined for no points. */
export function boundsOf(points: readonly Point[]): Bounds | undefined {
  const [first] = points;
  if (!first) return undefined;
  // Every stick and sheet is asked for its bounds: nothing is made on the way.
  let [left, right, low, high] = [first.xNm, first.xNm, first.yNm, first.yNm];
  for (const { xNm, yNm } of points) {
    if (xNm < left) left = xNm;
    else if (xNm > right) right = xNm;
    if (yNm < low) low = yNm;
    else if (yNm > high) high = yNm;
  }
  return { min: { xNm: left, yNm: low }, max: { xNm: right, yNm: high } };
}
