import type { DrawnDimension, DrawnRectangle, ElevationDrawing } from "../drawing/drawing";
import { type Bounds, boundsOf, difference, interiorPoint, overlapRings, type Polygon, polygonArea } from "../geometry";
import { roleOf } from "../kinds";
import { formatLength, type MeasuringSystem, NM_PER_M } from "../units";
import { ROOMS_GROUP } from "./roomSolids";
import { depthOf, type Solid, type Space } from "./solid";

/** From where the house is looked at, by the page its plan lies on. */
export const HOUSE_SIDES = ["front", "right", "back", "left"] as const;
export type HouseSide = (typeof HOUSE_SIDES)[number];

/** What is to the right as one looks, and what is nearer; plans lie with their foot to the front. */
const VIEWS: Readonly<Record<HouseSide, { readonly right: Space; readonly nearer: Space }>> = {
  front: { right: [1, 0, 0], nearer: [0, 0, 1] },
  right: { right: [0, 0, -1], nearer: [1, 0, 0] },
  back: { right: [-1, 0, 0], nearer: [0, 0, -1] },
  left: { right: [0, 0, 1], nearer: [-1, 0, 0] },
};

/** A flat side of a solid as it is seen: its outline on the page, and how near it is at a place, in metres. */
type Seen = {
  readonly solid: Solid;
  readonly outline: Polygon;
  readonly bounds: Bounds;
  readonly nearness: (xM: number, yM: number) => number;
};

const dot = (a: Space, b: Space): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

type Side = { readonly ring: readonly Space[]; readonly outwards: Space };

const add = (a: Space, b: Space, times: number): Space => [
  a[0] + b[0] * times,
  a[1] + b[1] * times,
  a[2] + b[2] * times,
];
const NOWHERE: Space = [0, 0, 0];

/** A solid's near and far side, and the strips between them, each with the way it faces. */
function sidesOf({ frame, outline, nearM, depthM }: Solid): Side[] {
  const depth = depthOf(frame);
  const place = ([x, y]: readonly [number, number], z: number): Space =>
    add(add(add(frame.origin, frame.along, x), frame.up, y), depth, z);
  const [near, far] = [nearM, nearM + depthM];
  const twice = outline.reduce((sum, [x, y], index) => {
    const [nextX, nextY] = outline[(index + 1) % outline.length] ?? [x, y];
    return sum + x * nextY - nextX * y;
  }, 0);
  const strips = outline.map((from, index): Side => {
    const to = outline[(index + 1) % outline.length] ?? from;
    const [dx, dy] = [(to[0] - from[0]) * Math.sign(twice), (to[1] - from[1]) * Math.sign(twice)];
    const outwards = add(add(NOWHERE, frame.along, dy), frame.up, -dx);
    return { ring: [place(from, near), place(to, near), place(to, far), place(from, far)], outwards };
  });
  return [
    { ring: outline.map((corner) => place(corner, near)), outwards: add(NOWHERE, depth, -1) },
    { ring: outline.map((corner) => place(corner, far)), outwards: depth },
    ...strips,
  ];
}

/** Newell's normal of a flat ring. */
function normalOf(ring: readonly Space[]): Space {
  return ring.reduce(
    ([x, y, z]: Space, [ax, ay, az], index): Space => {
      const [bx, by, bz] = ring[(index + 1) % ring.length] ?? [ax, ay, az];
      return [x + (ay - by) * (az + bz), y + (az - bz) * (ax + bx), z + (ax - bx) * (ay + by)];
    },
    [0, 0, 0],
  );
}

/** Seen edge on it is a line: nothing of it is drawn. */
const LEAST_M2 = 1e-4;

function seenFrom(solid: Solid, side: HouseSide): Seen[] {
  const { right, nearer } = VIEWS[side];
  return sidesOf(solid).flatMap(({ ring, outwards }): Seen[] => {
    // What faces away is hidden by what it is the back of.
    if (dot(outwards, nearer) <= 1e-9) return [];
    const normal = normalOf(ring);
    const across = dot(normal, nearer);
    const [origin] = ring;
    const outline = ring.map((place) => ({
      xNm: Math.round(dot(place, right) * NM_PER_M),
      yNm: Math.round(place[1] * NM_PER_M),
    }));
    const bounds = boundsOf(outline);
    if (!origin || !bounds || Math.abs(across) < 1e-9 || polygonArea(outline) < LEAST_M2) return [];
    const atOrigin = dot(normal, origin);
    // On the plane: normal · (x · right + y · up + n · nearer) is what it is at any of its corners.
    const nearness = (xM: number, yM: number) => (atOrigin - xM * dot(normal, right) - yM * normal[1]) / across;
    return [{ solid, outline, bounds, nearness }];
  });
}

const boxesMeet = (one: Bounds, other: Bounds): boolean =>
  one.min.xNm < other.max.xNm &&
  other.min.xNm < one.max.xNm &&
  one.min.yNm < other.max.yNm &&
  other.min.yNm < one.max.yNm;

/** Nearer by less than this is the same place: where two sides meet. */
const SAME_M = 0.001;

/** Whether one side hides another where they overlap. */
function hides(front: Seen, behind: Seen): boolean {
  if (!boxesMeet(front.bounds, behind.bounds)) return false;
  const [shared] = overlapRings(front.outline, behind.outline).toSorted((a, b) => polygonArea(b) - polygonArea(a));
  const place = shared && polygonArea(shared) > LEAST_M2 ? interiorPoint(shared) : undefined;
  if (!place) return false;
  const [xM, yM] = [place.xNm / NM_PER_M, place.yNm / NM_PER_M];
  return front.nearness(xM, yM) > behind.nearness(xM, yM) + SAME_M;
}

/** What makes up the outside of a house: surfaces of roofs, rooms, and whatever is laid on walls in sheets or courses. */
export const isOutside = ({ group, role, frame }: Solid): boolean => {
  const form = roleOf(role)?.form;
  // Panels of a slope lie below its surface, which is drawn.
  const isUpright = frame.up[1] > 0.999;
  return (form === "sheet" && isUpright) || form === "course" || form === undefined || group === ROOMS_GROUP;
};

/** More sides than this are not sorted out while one waits. */
export const MOST_SIDES = 600;

/**
 * The outside of the house square on from one of its sides, what is hidden left out, with its width and height. Nothing where nothing
 * stands, or there is more of it than `MOST_SIDES`.
 */
export function elevationFrom(
  solids: readonly Solid[],
  side: HouseSide,
  system: MeasuringSystem,
): ElevationDrawing | undefined {
  const seen = solids.filter(isOutside).flatMap((solid) => seenFrom(solid, side));
  const bounds = boundsOf(seen.flatMap(({ outline }) => outline));
  if (!bounds || seen.length > MOST_SIDES) return undefined;
  const { min, max } = bounds;
  const visible = seen.flatMap((each, index) => {
    const before = seen.filter((other) => other !== each && hides(other, each)).map(({ outline }) => outline);
    return difference(each.outline, before)
      .filter((ring) => polygonArea(ring) > LEAST_M2)
      .map((ring, nth) => drawn(each.solid, ring, `${index}-${nth}`, min));
  });
  const [widthNm, heightNm] = [max.xNm - min.xNm, max.yNm - min.yNm];
  const dimensions: DrawnDimension[] = [
    { id: "width", direction: "along", fromNm: 0, toNm: widthNm, row: 1, text: formatLength(widthNm, system) },
    { id: "height", direction: "up", fromNm: 0, toNm: heightNm, row: 1, text: formatLength(heightNm, system) },
  ];
  return { kind: "elevation", widthNm, heightNm, rectangles: visible, dimensions };
}

function drawn(solid: Solid, ring: Polygon, suffix: string, min: { xNm: number; yNm: number }): DrawnRectangle {
  const points = ring.map(({ xNm, yNm }) => ({ xNm: xNm - min.xNm, yNm: yNm - min.yNm }));
  const box = boundsOf(points) ?? { min: { xNm: 0, yNm: 0 }, max: { xNm: 0, yNm: 0 } };
  return {
    id: `${solid.id}#${suffix}`,
    role: solid.role,
    tone: solid.tone,
    ...box.min,
    widthNm: box.max.xNm - box.min.xNm,
    heightNm: box.max.yNm - box.min.yNm,
    points,
  };
}
