import { isInside } from "../../../geometry";
import type { XY, XYZ } from "../../../geometry/skeleton";
import { NM_PER_MM } from "../../../units";
import type { PlacedFeature, RoofFace, RoofForm } from "../formTypes";
import { heightOn } from "../overhang";
import type { Roof } from "../schema";
import type { RoofFeature } from "./schema";

const toMm = (nm: number | null): number => (nm ?? 0) / NM_PER_MM;

/** Where an edge of the outline begins along a face's own axis: its left end, seen from outside. */
function startOf(face: RoofFace, edgeFrom: XY): number {
  return face.form.line.along[0] * edgeFrom[0] + face.form.line.along[1] * edgeFrom[1];
}

/** A place of a face's own axes on plan. */
const placer =
  (face: RoofFace, start: number) =>
  (u: number, d: number): XY => {
    const { along, normal, offsetMm, fromHeightMm, runPerRise } = face.form.line;
    // The wall line lies where the plane has the height of the plate.
    const v = offsetMm - fromHeightMm * runPerRise + d;
    return [along[0] * (start + u) + normal[0] * v, along[1] * (start + u) + normal[1] * v];
  };

const pointOf = ([x, y]: XY | XYZ) => ({ xNm: Math.round(x * NM_PER_MM), yNm: Math.round(y * NM_PER_MM) });

/** Whether a place lies within a face, on the line of the walls. */
export const isOn = (face: RoofFace, place: XY): boolean =>
  isInside(
    face.wallSides.map(({ from }) => pointOf(from)),
    pointOf(place),
  );

/** How far a dormer reaches in from the wall: to where its ridge, or its one slope, runs into the roof behind it. */
function dormerReach(feature: RoofFeature, face: RoofFace, fromD: number, widthMm: number): number {
  const wallMm = toMm(feature.wallHeight.valueNm);
  const pitch = feature.pitch.value ?? 0;
  const plateMm = face.pitch * fromD + wallMm;
  if (feature.kind === "gable-dormer") return (plateMm + (pitch * widthMm) / 2) / face.pitch;
  return pitch < face.pitch ? (plateMm - pitch * fromD) / (face.pitch - pitch) : Number.POSITIVE_INFINITY;
}

function onFace(feature: RoofFeature, face: RoofFace, start: number): PlacedFeature {
  const fromU = toMm(feature.along.valueNm);
  const widthMm = toMm(feature.width.valueNm);
  const level = feature.kind === "roof-window" ? Math.hypot(1, face.pitch) : 1;
  const [backMm, depthMm] = [toMm(feature.back.valueNm) / level, toMm(feature.depth.valueNm) / level];
  const [fromD, toD] = {
    "gable-dormer": () => [backMm, dormerReach(feature, face, backMm, widthMm)] as const,
    "shed-dormer": () => [backMm, dormerReach(feature, face, backMm, widthMm)] as const,
    "roof-window": () => [backMm, backMm + depthMm] as const,
    chimney: () => [backMm, backMm + depthMm] as const,
    notch: () => [0, depthMm] as const,
    "carried-eave": () => [-depthMm, 0] as const,
  }[feature.kind]();
  return {
    feature,
    face,
    fromU,
    toU: fromU + widthMm,
    fromD,
    toD,
    wallMm: toMm(feature.wallHeight.valueNm),
    pitch: feature.pitch.value ?? 0,
    at: placer(face, start),
  };
}

/** A hair within its outline: what lies along a side of its slope is on it. */
const WITHIN_MM = 1;

function fits({ face, fromU, toU, fromD, toD, at }: PlacedFeature): boolean {
  if (!Number.isFinite(toD)) return false;
  const [left, right] = [fromU + WITHIN_MM, toU - WITHIN_MM];
  const [low, high] = [Math.max(fromD, 0) + WITHIN_MM, Math.max(toD, 2 * WITHIN_MM) - WITHIN_MM];
  return [at(left, low), at(right, low), at(left, high), at(right, high)].every((place) => isOn(face, place));
}

/** What a feature needs before it can be placed. */
export const isWhole = ({ along, width, back, depth, wallHeight, pitch, kind }: RoofFeature): boolean => {
  if (along.valueNm === null || width.valueNm === null) return false;
  if (kind === "notch" || kind === "carried-eave") return depth.valueNm !== null;
  if (back.valueNm === null) return false;
  if (kind === "roof-window" || kind === "chimney") return depth.valueNm !== null;
  return wallHeight.valueNm !== null && pitch.value !== null;
};

export type Placed =
  | { readonly ok: true; readonly placed: PlacedFeature }
  | { readonly ok: false; readonly why: "no-slope" | "past-slope" | "too-steep" };

/** A feature where it lies; by the first of its edge's slopes that it fits in. */
export function placeFeature(feature: RoofFeature, form: RoofForm, edgeFrom: ReadonlyMap<string, XY>): Placed {
  const faces = form.faces.filter((face) => face.edgeId === feature.edgeId);
  const from = edgeFrom.get(feature.edgeId);
  if (faces.length === 0 || !from) return { ok: false, why: "no-slope" };
  const tried = faces.map((face) => onFace(feature, face, startOf(face, from)));
  const placed = tried.find(fits);
  if (placed) return { ok: true, placed };
  const steep = feature.kind === "shed-dormer" && tried.every(({ toD }) => !Number.isFinite(toD));
  return { ok: false, why: steep ? "too-steep" : "past-slope" };
}

/** A place with the height of a face there. */
export const on = (face: RoofFace, place: XY): XYZ => [place[0], place[1], heightOn(face.form, place)];

/** Features of a roof that have all their figures. */
export const wholeFeatures = ({ features }: Pick<Roof, "features">): RoofFeature[] => features.filter(isWhole);
