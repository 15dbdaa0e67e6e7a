import { type Point, type Polygon, polygonArea } from "../../../geometry";
import { type Gradient, heightAt } from "./planes";

/** Less than a square centimetre is the rounding of a corner. */
const LEAST_M2 = 1e-4;
/** Planes this close together lie in each other. */
const ALIKE_MM = 0.05;

const apart = (a: Gradient, b: Gradient): Gradient => ({
  gradX: a.gradX - b.gradX,
  gradY: a.gradY - b.gradY,
  cMm: a.cMm - b.cMm,
});

/** Whether two planes are one over a ring. */
export const liesIn = (ring: Polygon, one: Gradient, other: Gradient): boolean =>
  ring.every((point) => Math.abs(heightAt(apart(one, other), point)) < ALIKE_MM);

/** The part of a ring in which a plane lies over another; where it is in several pieces, they hang together by lines of no width. */
export function whereOver(ring: Polygon, over: Gradient, under: Gradient): Polygon[] {
  const difference = apart(over, under);
  const heights = ring.map((point) => heightAt(difference, point));
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
