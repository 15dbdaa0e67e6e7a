import type { PlanLabel } from "../../drawing/drawing";
import {
  along,
  boundsOf,
  centroid,
  crossings,
  type Direction,
  headingFrom,
  leftOf,
  type MovedEdge,
  type OffsetEdge,
  offsetEdges,
  type Point,
  type Polygon,
  polygonArea,
  rightOf,
  signedArea,
} from "../../geometry";
import { formatArea, type MeasuringSystem, type Nanometres } from "../../units";
import type { Feature, Room, RoomRun } from "./schema";
import { type WalkState, walkOf } from "./walk";

/** A stretch of wall as seen from the room. Openings of its host have places between `startNm` and `endNm`. */
export type Face = {
  readonly id: string;
  readonly runId: string;
  readonly featureId: string | undefined;
  /** The run or feature whose openings may lie in it; nothing for the sides of a recess. */
  readonly hostId: string | undefined;
  readonly from: Point;
  readonly to: Point;
  readonly startNm: Nanometres;
  readonly endNm: Nanometres;
  readonly thicknessNm: Nanometres;
};

export type RoomOutline = {
  readonly state: WalkState;
  readonly gap: Point | undefined;
  readonly corners: readonly Point[];
  readonly faces: readonly Face[];
  /** Whether the walk goes with the clock, the room on its right hand. */
  readonly clockwise: boolean;
  /** Corners of the room with its recesses and bumps; nothing until the walk closes without crossing itself. */
  readonly polygon: Polygon | undefined;
  /** Stretches that cross, where they do. */
  readonly crossed: readonly (readonly [Face, Face])[];
};

export const CLOSES: readonly WalkState[] = ["closed", "spread", "squared"];

/** Out of the room, from a walk's direction. */
export const outward = (direction: Direction, clockwise: boolean): Direction =>
  clockwise ? leftOf(direction) : rightOf(direction);

/** Where a bump's outside begins and ends along its run; a recess begins and ends with its clear width. */
export function featureSpan(feature: Feature): { startNm: Nanometres; endNm: Nanometres; depthNm: Nanometres } {
  const startNm = feature.position.valueNm ?? 0;
  const thicknessNm = feature.kind === "bump" ? (feature.thickness.valueNm ?? 0) : 0;
  return {
    startNm,
    endNm: startNm + (feature.width.valueNm ?? 0) + 2 * thicknessNm,
    depthNm: (feature.depth.valueNm ?? 0) + thicknessNm,
  };
}

export const featuresOf = (room: Room, runId: string): readonly Feature[] =>
  room.features
    .filter((feature) => feature.runId === runId)
    .toSorted((a, b) => (a.position.valueNm ?? 0) - (b.position.valueNm ?? 0));

type RunPlace = { run: RoomRun; from: Point; to: Point; direction: Direction; out: Direction };

function facesOfFeature(feature: Feature, { run, from, direction, out }: RunPlace): Face[] {
  const { startNm, endNm, depthNm } = featureSpan(feature);
  const way = feature.kind === "recess" ? depthNm : -depthNm;
  const near = along(from, direction, startNm);
  const far = along(from, direction, endNm);
  const [nearBack, farBack] = [along(near, out, way), along(far, out, way)];
  const face = (side: string, a: Point, b: Point, hostId?: string): Face => ({
    id: `${run.id}/${feature.id}/${side}`,
    runId: run.id,
    featureId: feature.id,
    hostId,
    from: a,
    to: b,
    startNm: 0,
    endNm: hostId ? endNm - startNm : depthNm,
    thicknessNm: feature.thickness.valueNm ?? 0,
  });
  return [
    face("first-side", near, nearBack),
    face("back", nearBack, farBack, feature.id),
    face("second-side", farBack, far),
  ];
}

/** A run in pieces, between its recesses and bumps, and theirs. */
function facesOfRun(room: Room, place: RunPlace): Face[] {
  const { run, from, to, direction } = place;
  const features = featuresOf(room, run.id);
  const piece = (index: number, startNm: Nanometres, endNm: Nanometres, a: Point, b: Point): Face => ({
    id: features.length === 0 ? run.id : `${run.id}/${index}`,
    runId: run.id,
    featureId: undefined,
    hostId: run.id,
    from: a,
    to: b,
    startNm,
    endNm,
    thicknessNm: run.thickness.valueNm ?? 0,
  });
  const faces: Face[] = [];
  let startNm = 0;
  let at = from;
  for (const [index, feature] of features.entries()) {
    const span = featureSpan(feature);
    const next = along(from, direction, span.startNm);
    if (span.startNm > startNm) faces.push(piece(index, startNm, span.startNm, at, next));
    faces.push(...facesOfFeature(feature, place));
    startNm = span.endNm;
    at = along(from, direction, span.endNm);
  }
  const endNm = run.length.valueNm ?? 0;
  if (endNm > startNm) faces.push(piece(features.length, startNm, endNm, at, to));
  return faces;
}

/** The room's own plan, its first corner at the origin and its first run along the page. */
export function outlineOf(room: Room): RoomOutline {
  const walk = walkOf(room);
  const closes = CLOSES.includes(walk.state);
  const clockwise = signedArea(walk.corners) <= 0;
  const faces = walk.runs.flatMap((run, index) => {
    const from = walk.corners[index];
    const to = walk.corners[index + 1];
    const direction = from && to ? headingFrom(from, to) : undefined;
    if (!from || !to || !direction) return [];
    return facesOfRun(room, { run, from, to, direction, out: outward(direction, clockwise) });
  });
  const ring = faces.map((face) => face.from);
  const crossed = crossings(closes ? ring : [...ring, ...walk.corners.slice(-1)], closes).flatMap(([a, b]) => {
    const [first, second] = [faces[a], faces[b]];
    return first && second ? [[first, second] as const] : [];
  });
  return {
    state: walk.state,
    gap: walk.gap,
    corners: walk.corners,
    faces,
    clockwise,
    polygon: closes && crossed.length === 0 ? ring : undefined,
    crossed,
  };
}

/** The outside of the walls behind the faces, mitred at the corners. */
export function wallBacks({ faces, clockwise, polygon }: RoomOutline): MovedEdge[] {
  const edges = faces.map((face): OffsetEdge => {
    const heading = headingFrom(face.from, face.to) ?? { x: 1, y: 0 };
    return { from: face.from, to: face.to, outward: outward(heading, clockwise), byNm: face.thicknessNm };
  });
  return offsetEdges(edges, polygon !== undefined);
}

/** A room's name and area, in the middle of its floor. */
export function floorLabel(room: Room, polygon: Polygon, system: MeasuringSystem): PlanLabel {
  const bounds = boundsOf(polygon);
  return {
    id: room.id,
    at: centroid(polygon),
    lines: [room.name, formatArea(polygonArea(polygon), system)],
    widthNm: bounds ? bounds.max.xNm - bounds.min.xNm : 0,
    heightNm: bounds ? bounds.max.yNm - bounds.min.yNm : 0,
  };
}
