import { Clipper, ClipType, PolyFillType, PolyType } from "clipper-lib";
import type { Point } from "./point";
import { type Polygon, signedArea } from "./polygon";

type ClipperPoint = { X: number; Y: number };

/** The clipping package wants whole numbers, all the same way round. */
const toPath = (polygon: Polygon): ClipperPoint[] => {
  const path = polygon.map(({ xNm, yNm }) => ({ X: Math.round(xNm), Y: Math.round(yNm) }));
  return signedArea(polygon) < 0 ? path.reverse() : path;
};

const toPolygon = (path: readonly ClipperPoint[]): Point[] => path.map(({ X, Y }) => ({ xNm: X, yNm: Y }));

function combine(kind: ClipType, subjects: readonly Polygon[], clips: readonly Polygon[]): Polygon[] {
  const clipper = new Clipper();
  clipper.AddPaths(subjects.map(toPath), PolyType.ptSubject, true);
  if (clips.length > 0) clipper.AddPaths(clips.map(toPath), PolyType.ptClip, true);
  const result: ClipperPoint[][] = [];
  const done = clipper.Execute(kind, result, PolyFillType.pftNonZero, PolyFillType.pftNonZero);
  if (!done) throw new Error(`combine: ${subjects.length} and ${clips.length} polygons could not be combined`);
  return result.map(toPolygon);
}

/** What any of the polygons covers, as rings: outer ones against the clock, holes with it. */
export const union = (polygons: readonly Polygon[]): Polygon[] =>
  polygons.length === 0 ? [] : combine(ClipType.ctUnion, polygons, []);

/** In square metres. */
export const overlapArea = (a: Polygon, b: Polygon): number =>
  combine(ClipType.ctIntersection, [a], [b]).reduce((sum, ring) => sum + signedArea(ring), 0);
