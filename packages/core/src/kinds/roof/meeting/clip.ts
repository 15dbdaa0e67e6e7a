import { difference, differenceRings, overlapRings, type Point, type Polygon, polygonArea } from "../../../geometry";
import type { Gradient } from "./planes";
import { heightAt } from "./planes";

/**
 * Slopes are clipped on a grid of a hundredth of a millimetre: fine enough for timber, and coarse enough that the clipping package works
 * in whole numbers it can multiply exactly, up to 470 m.
 */
const GRID_NM = 10_000;

const onGrid = (polygon: Polygon): Polygon =>
  polygon.map(({ xNm, yNm }) => ({ xNm: Math.round(xNm / GRID_NM), yNm: Math.round(yNm / GRID_NM) }));
const offGrid = (polygon: Polygon): Polygon =>
  polygon.map(({ xNm, yNm }) => ({ xNm: xNm * GRID_NM, yNm: yNm * GRID_NM }));

/** What two polygons both cover. */
export const both = (a: Polygon, b: Polygon): Polygon[] => overlapRings(onGrid(a), onGrid(b)).map(offGrid);

/** In square metres. */
export const bothArea = (a: Polygon, b: Polygon): number =>
  both(a, b).reduce((sum, ring) => sum + polygonArea(ring), 0);

/** What others leave of a polygon, without holes in it. */
export const without = (polygon: Polygon, others: readonly Polygon[]): Polygon[] =>
  difference(onGrid(polygon), others.map(onGrid)).map(offGrid);

/** What others leave of a polygon; a hole in it is a ring with the clock. */
export const withoutRings = (polygon: Polygon, others: readonly Polygon[]): Polygon[] =>
  differenceRings(onGrid(polygon), others.map(onGrid)).map(offGrid);

/** Less than a square centimetre is the rounding of a corner. */
const LEAST_M2 = 1e-4;
/** Planes this close together lie in each other. */
const ALIKE_MM = 0.05;

/** The part of a ring in which a plane lies over another; where it is in several pieces, they hang together by lines of no width. */
export function whereOver(ring: Polygon, over: Gradient, under: Gradient): Polygon[] {
  const apart = { gradX: over.gradX - under.gradX, gradY: over.gradY - under.gradY, cMm: over.cMm - under.cMm };
  const heights = ring.map((point) => heightAt(apart, point));
  if (heights.every((height) => height < ALIKE_MM)) return [];
  const kept = ring.flatMap((from, index): Point[] => {
    const next = (index + 1) % ring.length;
    const to = ring[next] ?? from;
    const [a, b] = [heights[index] ?? 0, heights[next] ?? 0];
    const own = a > 0 ? [from] : [];
    if (a > 0 === b > 0) return own;
    const share = a / (a - b);
    const xNm = Math.round(from.xNm + share * (to.xNm - from.xNm));
    return [...own, { xNm, yNm: Math.round(from.yNm + share * (to.yNm - from.yNm)) }];
  });
  return kept.length > 2 && polygonArea(kept) > LEAST_M2 ? [kept] : [];
}
