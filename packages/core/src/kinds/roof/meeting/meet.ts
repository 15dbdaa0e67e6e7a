import { type Polygon, polygonArea } from "../../../geometry";
import { intersect, intersectArea, without } from "../../../geometry/grid";
import type { XYZ } from "../../../geometry/skeleton";
import { ownValue } from "../../../records/ownValue";
import { NM_PER_MM } from "../../../units";
import { linesOf } from "../assemble";
import type { Covered, MetOthers, RoofFace, RoofForm } from "../formTypes";
import { whereOver } from "./clip";
import { cutFace } from "./cutFaces";
import { boxesMeet } from "./cutRing";
import { cutStanding } from "./cutStanding";
import { gradientOf, pointOf, polygonOf, ringsOf } from "./planes";
import type { Meets, Neighbour } from "./types";

const LEAST_M2 = 1e-3;

type Stands = "through" | "partly" | "within";

/** Rooms stand through a roof where all of a room is higher than it; one that lies within the roof's own space does not cut it. */
function standsIn({ what, tops }: Neighbour, faces: readonly RoofFace[]): Stands {
  if (what === "slopes") return "through";
  const shares = faces.map((face) => {
    const polygon = polygonOf(face.sides);
    const under = tops.flatMap(({ ring }) => intersect(ring, polygon));
    const below = tops.flatMap((top) => whereOver(top.ring, top, gradientOf(face.form)));
    const sum = (rings: readonly Polygon[]) => rings.reduce((total, ring) => total + intersectArea(ring, polygon), 0);
    return { whole: sum(under), below: sum(below) };
  });
  const whole = shares.reduce((sum, each) => sum + each.whole, 0);
  const below = shares.reduce((sum, each) => sum + each.below, 0);
  if (whole <= LEAST_M2 || below < whole * 0.001) return "within";
  return below > whole * 0.999 ? "through" : "partly";
}

/** A part of a slope that hangs in the air beyond what it ran into is none. */
const touches = (face: RoofFace, outline: Polygon): boolean =>
  intersectArea(polygonOf(face.sides), outline) > LEAST_M2 || face.dormerId !== undefined;

/** Where lower roofs lie over a slope, within the line of its own walls. */
function coveredOf(face: RoofFace, neighbours: readonly Neighbour[], outline: Polygon): Covered[] {
  const polygon = polygonOf(face.sides);
  const plane = gradientOf(face.form);
  return neighbours.flatMap(({ name, over }): Covered[] => {
    const rings = over
      .filter(({ ring }) => boxesMeet(ring, polygon))
      .flatMap((top) => whereOver(top.ring, top, plane))
      .flatMap((ring) => intersect(ring, polygon))
      .flatMap((ring) => intersect(ring, outline))
      .filter((ring) => polygonArea(ring) > LEAST_M2);
    if (rings.length === 0) return [];
    return [{ by: name, rings, planAreaM2: rings.reduce((sum, ring) => sum + polygonArea(ring), 0) }];
  });
}

function withCovered(face: RoofFace, neighbours: readonly Neighbour[], outline: Polygon): RoofFace {
  const covered = coveredOf(face, neighbours, outline);
  if (covered.length === 0) return face;
  const planAreaM2 = Math.max(0, face.planAreaM2 - covered.reduce((sum, each) => sum + each.planAreaM2, 0));
  return { ...face, covered, planAreaM2, areaM2: planAreaM2 * Math.hypot(1, face.pitch) };
}

/** Features of which less is left than there was. */
function lostOf(before: readonly RoofFace[], after: readonly RoofFace[]): Set<string> {
  const areas = (faces: readonly RoofFace[]) => {
    const byId = new Map<string, number>();
    const add = (id: string, area: number) => byId.set(id, (byId.get(id) ?? 0) + area);
    for (const face of faces) for (const hole of face.holes) add(hole.featureId, hole.planAreaM2);
    return byId;
  };
  const left = areas(after);
  return new Set([...areas(before)].flatMap(([id, area]) => ((left.get(id) ?? 0) < area * 0.999 ? [id] : [])));
}

const isCutInto = (faces: readonly RoofFace[], featureId: string): boolean =>
  faces.some(({ holes }) => holes.some((hole) => hole.featureId === featureId));

/** A flat at the top without what stands higher within it. */
function flatLeft(flat: readonly XYZ[], neighbours: readonly Neighbour[]): (readonly XYZ[])[] {
  const [, , heightMm = 0] = flat[0] ?? [];
  const plane = { gradX: 0, gradY: 0, cMm: heightMm };
  const gone = neighbours.flatMap(({ tops }) => tops.flatMap((top) => whereOver(top.ring, top, plane)));
  if (gone.length === 0) return [flat];
  return without(flat.map(pointOf), gone).map((ring) =>
    ring.map(({ xNm, yNm }): XYZ => [xNm / NM_PER_MM, yNm / NM_PER_MM, heightMm]),
  );
}

/** Whether a slope gets as far as the end of what an edge runs on to: it is then higher than what it should have run into. */
function comesOut({ standing }: RoofForm, faces: readonly RoofFace[], edgeId: string): boolean {
  const ends = new Set(standing.filter((face) => face.edgeId === edgeId).map(({ form }) => form.index));
  return faces.some(({ wallSides }) => wallSides.some(({ against }) => ends.has(against)));
}

type Own = {
  /** Of its own walls. */
  readonly outline: Polygon;
  /** The edges that were to run on into another roof. */
  readonly running: readonly string[];
};

/**
 * A form where it meets the others of its house: slopes and gables end where they come into another, and what others cover of a slope is
 * known by itself. Nothing where another roof leaves nothing of it.
 */
export function meetForm(form: RoofForm, meets: Meets, { outline, running }: Own): RoofForm | undefined {
  const stand = meets.neighbours.map((neighbour) => ({ neighbour, how: standsIn(neighbour, form.faces) }));
  const those = (how: Stands) => stand.filter((each) => each.how === how).map(({ neighbour }) => neighbour);
  const neighbours = those("through");
  const cutting = { ...meets, neighbours };
  const cut = form.faces
    .flatMap((face) => cutFace(face, cutting, outline))
    .filter((face) => running.length === 0 || touches(face, outline));
  if (cut.length === 0) return undefined;
  const faces = cut.map((face) => withCovered(face, neighbours, outline));
  const standing = form.standing.flatMap((face) => cutStanding(face, cutting));
  const flats = form.flats.flatMap((flat) => flatLeft(flat, neighbours));
  const flatAreaM2 = flats.reduce((sum, flat) => sum + polygonArea(flat.map(pointOf)), 0);
  const runsOn = (id: string) => ownValue(meets.runsOnMm, id) !== undefined;
  const lost = lostOf(form.faces, faces);
  const met: MetOthers = {
    intoNothing: running.filter((id) => !runsOn(id)),
    standingOut: running.filter((id) => runsOn(id) && comesOut(form, faces, id)),
    lostFeatures: form.features.flatMap(({ feature }) => (lost.has(feature.id) ? [feature.name] : [])),
    partlyThrough: those("partly").map(({ name }) => name),
  };
  return {
    ...form,
    faces,
    standing: standing.filter(({ edgeId }) => !running.includes(edgeId)),
    flats,
    flatAreaM2,
    lines: linesOf(faces),
    outlineAreaM2:
      flatAreaM2 +
      faces
        .filter(({ dormerId }) => dormerId === undefined)
        .flatMap(({ wallSides }) => ringsOf(wallSides))
        .reduce((sum, ring) => sum + polygonArea(polygonOf(ring)), 0),
    highestMm: Math.max(...faces.flatMap(({ sides }) => sides.map(({ from }) => from[2]))),
    features: form.features.filter(({ feature }) => !lost.has(feature.id) || isCutInto(faces, feature.id)),
    met,
  };
}
