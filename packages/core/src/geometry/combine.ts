import { Clipper64, ClipType, FillRule, type Path64, type Paths64 } from "clipper2-ts";
import type { Point } from "./point";
import { type Polygon, signedArea } from "./polygon";

/** The clipping package wants whole numbers, all the same way round. */
const toPath = (polygon: Polygon): Path64 => {
  const path = polygon.map(({ xNm, yNm }) => ({ x: Math.round(xNm), y: Math.round(yNm) }));
  return signedArea(polygon) < 0 ? path.reverse() : path;
};

const toPolygon = (path: Path64): Point[] => path.map(({ x, y }) => ({ xNm: x, yNm: y }));

function combine(kind: ClipType, subjects: readonly Polygon[], clips: readonly Polygon[]): Polygon[] {
  const clipper = new Clipper64();
  // A corner in line with its neighbours is none.
  clipper.preserveCollinear = false;
  clipper.addSubject(subjects.map(toPath));
  if (clips.length > 0) clipper.addClip(clips.map(toPath));
  const result: Paths64 = [];
  const done = clipper.execute(kind, FillRule.NonZero, result);
  if (!done) throw new Error(`combine: ${subjects.length} and ${clips.length} polygons could not be combined`);
  return result.map(toPolygon);
}

/** What any of the polygons covers, as rings: outer ones against the clock, holes with it. */
export const union = (polygons: readonly Polygon[]): Polygon[] =>
  polygons.length === 0 ? [] : combine(ClipType.Union, polygons, []);

/** In square metres. */
export const overlapArea = (a: Polygon, b: Polygon): number =>
  combine(ClipType.Intersection, [a], [b]).reduce((sum, ring) => sum + signedArea(ring), 0);

/** What two polygons both cover, as rings. */
export const overlapRings = (a: Polygon, b: Polygon): Polygon[] => combine(ClipType.Intersection, [a], [b]);

/** What others leave of a polygon, as rings; a hole in it is a ring with the clock. */
export const differenceRings = (polygon: Polygon, others: readonly Polygon[]): Polygon[] =>
  others.length === 0 ? [polygon] : combine(ClipType.Difference, [polygon], others);

/** What others leave of a polygon, as rings; a hole in it is a ring of its own, with the clock, and is left out. */
export function difference(polygon: Polygon, others: readonly Polygon[]): Polygon[] {
  return differenceRings(polygon, others).filter((ring) => others.length === 0 || signedArea(ring) > 0);
}

/** A place well within a polygon: in the middle of its roomiest stretch between two corners' heights. Nothing for one of no area. */
export function interiorPoint(polygon: Polygon): Point | undefined {
  const ys = [...new Set(polygon.map(({ yNm }) => yNm))].toSorted((a, b) => a - b);
  let best: { readonly point: Point; readonly wide: number } | undefined;
  for (const [index, low] of ys.entries()) {
    const high = ys[index + 1];
    if (high === undefined) break;
    const yNm = (low + high) / 2;
    const crossings = polygon
      .flatMap((from, nth) => {
        const to = polygon[(nth + 1) % polygon.length] ?? from;
        if (from.yNm > yNm === to.yNm > yNm) return [];
        return [from.xNm + ((yNm - from.yNm) / (to.yNm - from.yNm)) * (to.xNm - from.xNm)];
      })
      .toSorted((a, b) => a - b);
    for (let nth = 0; nth + 1 < crossings.length; nth += 2) {
      const [left = 0, right = 0] = [crossings[nth], crossings[nth + 1]];
      const wide = Math.min(right - left, high - low);
      if (wide > (best?.wide ?? 0)) best = { point: { xNm: (left + right) / 2, yNm }, wide };
    }
  }
  return best?.point;
}
