import type { Face } from "./outline";
import type { Room } from "./schema";

/** A, B, … Z, AA, AB, … */
export function letterOf(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 26 ? letter : `${letterOf(Math.floor(index / 26) - 1)}${letter}`;
}

/** `Wall C`, in the order of the walk. */
export function runName(room: Room, runId: string): string {
  const index = room.runs.findIndex((run) => run.id === runId);
  return index < 0 ? "A wall" : `Wall ${letterOf(index)}`;
}

/** The wall, recess or bump an opening is in. */
export const hostName = (room: Room, hostId: string): string =>
  room.features.find((feature) => feature.id === hostId)?.name ?? runName(room, hostId);

/** A stretch of wall: `Wall B`, `Wall B, stretch 2` past a recess, `Recess 1, side 1`. */
export function nameOfFace(room: Room, faces: readonly Face[], face: Face): string {
  const { featureId, runId } = face;
  const alike = faces.filter((each) => each.featureId === featureId && each.runId === runId);
  const name = featureId ? hostName(room, featureId) : runName(room, runId);
  return alike.length === 1 ? name : `${name}, ${featureId ? "side" : "stretch"} ${alike.indexOf(face) + 1}`;
}
