import { difference, differenceRings, overlapRings } from "./combine";
import { type Polygon, polygonArea } from "./polygon";

/**
 * What is cut from timber and sheets is clipped on a grid of a hundredth of a millimetre: fine enough for a saw, and coarse enough
 * that the clipping package works in whole numbers it can multiply exactly, up to 470 m.
 */
const GRID_NM = 10_000;

const onGrid = (polygon: Polygon): Polygon =>
  polygon.map(({ xNm, yNm }) => ({ xNm: Math.round(xNm / GRID_NM), yNm: Math.round(yNm / GRID_NM) }));
const offGrid = (polygon: Polygon): Polygon =>
  polygon.map(({ xNm, yNm }) => ({ xNm: xNm * GRID_NM, yNm: yNm * GRID_NM }));

/** What two polygons both cover. */
export const intersect = (a: Polygon, b: Polygon): Polygon[] => overlapRings(onGrid(a), onGrid(b)).map(offGrid);

/** In square metres. */
export const intersectArea = (a: Polygon, b: Polygon): number =>
  intersect(a, b).reduce((sum, ring) => sum + polygonArea(ring), 0);

/** What others leave of a polygon, without holes in it. */
export const without = (polygon: Polygon, others: readonly Polygon[]): Polygon[] =>
  difference(onGrid(polygon), others.map(onGrid)).map(offGrid);

/** What others leave of a polygon; a hole in it is a ring with the clock. */
export const withoutRings = (polygon: Polygon, others: readonly Polygon[]): Polygon[] =>
  differenceRings(onGrid(polygon), others.map(onGrid)).map(offGrid);
