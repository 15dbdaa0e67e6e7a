import { runName } from "./names";
import { type Face, featuresOf, outlineOf } from "./outline";
import type { Room } from "./schema";

/** A stretch of a room's walls that can be built by itself, under the id that a wall on the plan names it by. */
export type BuildableWall = { readonly id: string; readonly name: string; readonly hostId: string };

/**
 * Whether a face is of the wall that an id names: a run, the recess or bump whose back it is, or the face itself. A run with
 * a recess or bump in it is several faces.
 */
export const isFaceOf = (face: Pick<Face, "id" | "hostId">, id: string): boolean =>
  face.id === id || face.hostId === id;

const SIDES: Readonly<Record<string, string>> = { "first-side": "first side", "second-side": "second side" };

function nameOf(room: Room, face: Face): string {
  const feature = room.features.find((each) => each.id === face.featureId);
  if (feature) {
    const side = face.id.split("/").pop() ?? "";
    return `${feature.name}, ${SIDES[side] ?? (feature.kind === "recess" ? "back" : "front")}`;
  }
  const name = runName(room, face.runId);
  const features = featuresOf(room, face.runId);
  const before = features.filter((each) => (each.position.valueNm ?? 0) < face.endNm).pop();
  const after = features.find((each) => (each.position.valueNm ?? 0) >= face.endNm);
  if (before && after) return `${name}, ${before.name} to ${after.name}`;
  if (after) return `${name}, to ${after.name}`;
  return before ? `${name}, from ${before.name}` : name;
}

/** Every wall of a room that its plan draws, in the order of the walk. */
export const buildableWalls = (room: Room): readonly BuildableWall[] =>
  outlineOf(room).faces.map((face) => ({
    id: face.id,
    name: nameOf(room, face),
    hostId: face.featureId ?? face.runId,
  }));

/** The figure that a face's length is read as, within its room. */
export function lengthPathOf({ runId, featureId, hostId }: Face): string {
  if (featureId === undefined) return `runs.${runId}.length`;
  return `features.${featureId}.${hostId === undefined ? "depth" : "width"}`;
}
