import { boundsOf, distance, type Point, type Polygon, polygonArea, signedArea } from "../../../geometry";
import { intersect, withoutRings } from "../../../geometry/grid";
import type { XY, XYZ } from "../../../geometry/skeleton";
import { NM_PER_MM } from "../../../units";
import type { RoofFace } from "../formTypes";
import { heightOn, type PlainSide, type SideKind } from "../overhang";
import { pointOf } from "./planes";

/** What a side is that was not there before. */
export type NewSide = (from: Point, to: Point) => { readonly kind: SideKind; readonly cutBy?: string };

/** Slivers of rounding are no slope. */
const LEAST_M2 = 1e-3;
const ON_NM = 50_000;

/** Past any slope, and within what is clipped exactly. */
const FAR_NM = 2e11;

/** How far along the foot of a slope a place lies. */
const alongOf = ({ form: { line } }: RoofFace, { xNm, yNm }: Point): number =>
  line.along[0] * xNm + line.along[1] * yNm;

/** The stretch of the plan between two places along the foot of a slope. */
function strip({ form: { line } }: RoofFace, from: number, to: number): Polygon {
  const corner = (along: number, up: number): Point => ({
    xNm: Math.round(line.along[0] * along + line.normal[0] * up),
    yNm: Math.round(line.along[1] * along + line.normal[1] * up),
  });
  return [corner(from, -FAR_NM), corner(to, -FAR_NM), corner(to, FAR_NM), corner(from, FAR_NM)];
}

/** A slope is one ring: where something comes up through the middle of it, it is parted up the slope beside that. */
export function leftOf(face: RoofFace, polygon: Polygon, removed: readonly Polygon[], depth = 0): Polygon[] {
  const rings = withoutRings(polygon, removed);
  const holes = rings.filter((ring) => signedArea(ring) < 0 && polygonArea(ring) > LEAST_M2);
  const outer = rings.filter((ring) => signedArea(ring) > LEAST_M2);
  if (holes.length === 0 || depth > 3) return outer;
  const cuts = holes.flatMap((hole) => {
    const places = hole.map((point) => alongOf(face, point));
    return [Math.min(...places), Math.max(...places)];
  });
  const places = [...new Set([-FAR_NM, ...cuts, FAR_NM])].toSorted((a, b) => a - b);
  return places.slice(1).flatMap((to, index) =>
    intersect(polygon, strip(face, places[index] ?? -FAR_NM, to))
      .filter((ring) => polygonArea(ring) > LEAST_M2)
      .flatMap((ring) => leftOf(face, ring, removed, depth + 1)),
  );
}

function liesOn(a: Point, b: Point, point: Point): boolean {
  const [x, y] = [b.xNm - a.xNm, b.yNm - a.yNm];
  const length = Math.hypot(x, y);
  if (length < 1) return false;
  const [px, py] = [point.xNm - a.xNm, point.yNm - a.yNm];
  const along = (px * x + py * y) / length;
  return Math.abs(px * y - py * x) / length < ON_NM && along > -ON_NM && along < length + ON_NM;
}

/** Corners that the clipping took for needless, as they lie in a straight line; sides of two kinds meet in them. */
function withCorners(ring: Polygon, corners: readonly Point[]): Polygon {
  return ring.flatMap((from, index) => {
    const to = ring[(index + 1) % ring.length] ?? from;
    const length = distance(from, to);
    const along = (point: Point) =>
      ((point.xNm - from.xNm) * (to.xNm - from.xNm) + (point.yNm - from.yNm) * (to.yNm - from.yNm)) / length;
    const between = corners
      .filter((corner) => liesOn(from, to, corner) && along(corner) > ON_NM && along(corner) < length - ON_NM)
      .toSorted((a, b) => along(a) - along(b));
    return [from, ...between.filter((point, nth) => nth === 0 || distance(point, between[nth - 1] ?? point) > ON_NM)];
  });
}

export type Bounds = {
  /** What bounded the slope before. */
  readonly before: readonly PlainSide[];
  /** Corners of what it is cut by. */
  readonly corners: readonly Point[];
  readonly isNew: NewSide;
};

/** A ring with what each of its sides is: what it was before, or what a new one is. */
export function sidesOf(face: RoofFace, clipped: Polygon, { before, corners, isNew }: Bounds): PlainSide[] {
  const ring = withCorners(clipped, [...before.map(({ from }) => pointOf(from)), ...corners]);
  const at = ({ xNm, yNm }: Point): XYZ => {
    const place: XY = [xNm / NM_PER_MM, yNm / NM_PER_MM];
    return [...place, heightOn(face.form, place)];
  };
  return ring.map((from, index): PlainSide => {
    const to = ring[(index + 1) % ring.length] ?? from;
    const known = before.find((side) => {
      const [a, b] = [pointOf(side.from), pointOf(side.to)];
      return liesOn(a, b, from) && liesOn(a, b, to);
    });
    const ends = { from: at(from), to: at(to) };
    if (!known) return { ...ends, against: -1, ...isNew(from, to) };
    const cut = known.cutBy === undefined ? {} : { cutBy: known.cutBy };
    return { ...ends, kind: known.kind, against: known.against, ...cut };
  });
}

/** Both ends of a stretch lie on one edge of an outline. */
export const liesAlong = (outline: Polygon, from: Point, to: Point): boolean =>
  outline.some((a, index) => {
    const b = outline[(index + 1) % outline.length] ?? a;
    return liesOn(a, b, from) && liesOn(a, b, to);
  });

/** Whether the boxes round two polygons have anything in common. */
export function boxesMeet(a: Polygon, b: Polygon): boolean {
  const [one, other] = [boundsOf(a), boundsOf(b)];
  if (!one || !other) return false;
  return (
    one.min.xNm < other.max.xNm &&
    other.min.xNm < one.max.xNm &&
    one.min.yNm < other.max.yNm &&
    other.min.yNm < one.max.yNm
  );
}
