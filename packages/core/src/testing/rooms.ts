import { enterDimension, type PartContext, type Room, roomDefaults, roomKind, walkOn, withTurn } from "../kinds";
import { contexts } from "./library";

/** One run of a walk: what the tape read, and the turn at its end in degrees, left above zero; square right if not given. */
export type WalkStep = readonly [typed: string, turnDegrees?: number];

const lastRun = (room: Room): string => room.runs[room.runs.length - 1]?.id ?? "";

/** A room as a person walks it: each figure goes through the entry, each turn is set before the next wall. Throws when refused. */
export function walkedRoom(steps: readonly WalkStep[], context: PartContext = contexts.imperial, id = "room"): Room {
  let room = roomDefaults(id, id, context);
  for (const [index, [typed, turn]] of steps.entries()) {
    const runId = lastRun(room);
    const result = enterDimension(roomKind, room, `runs.${runId}.length`, typed, context);
    if (result.problem) throw new Error(`walkedRoom: ${typed}: ${result.problem.message}`);
    room = turn === undefined ? result.part : withTurn(result.part, runId, turn);
    room = walkOn(room, `r${index + 2}`, context);
  }
  return room;
}

/** Makes entries in a room. Throws when one is refused. */
export const entered = (
  room: Room,
  entries: Readonly<Record<string, string>>,
  context: PartContext = contexts.imperial,
): Room =>
  Object.entries(entries).reduce((current, [path, typed]) => {
    const result = enterDimension(roomKind, current, path, typed, context);
    if (result.problem) throw new Error(`entered: ${path} ${typed}: ${result.problem.message}`);
    return result.part;
  }, room);

export const measureText = (measures: readonly { id: string; text: string }[], id: string): string => {
  const found = measures.find((each) => each.id === id);
  if (!found) throw new Error(`measureText: no measure "${id}" among ${measures.map((each) => each.id).join(", ")}`);
  return found.text;
};
