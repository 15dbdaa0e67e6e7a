import type { FigureSlot } from "../../parts/figure";
import { withTurn } from "./edit";
import { runName } from "./names";
import type { Room } from "./schema";

const PITCH_PATH = "ceiling.pitch";
/** Past this the walk goes back along the wall it came by. */
const SHARPEST_TURN = 179.99;

/** Less is a level ceiling. */
const LEAST_PITCH = 0.001;

const isSquare = (degrees: number): boolean => degrees % 90 === 0;

/** Pitch of the ceiling where that says its height, and turns that are not square: to the left above nothing, to the right below. */
export function roomFigures(room: Room): readonly FigureSlot[] {
  const { pitchDegrees, shape } = room.ceiling;
  const turns = room.runs
    .filter(({ turnDegrees }) => !isSquare(turnDegrees.value))
    .map(({ id, turnDegrees: { value, assumed } }): FigureSlot => {
      const figure = { value, typed: "", assumed };
      const name = runName(room, id);
      return {
        path: `runs.${id}.turn`,
        label: "Turn after it, left above 0",
        of: name,
        group: "Turns",
        measure: "angle",
        figure,
        least: -SHARPEST_TURN,
        most: SHARPEST_TURN,
      };
    });
  if (pitchDegrees === null || shape.value === "level") return turns;
  const value = Math.tan((pitchDegrees * Math.PI) / 180);
  const figure = { value, typed: "", assumed: false };
  return [{ path: PITCH_PATH, label: "Pitch", of: "Ceiling", measure: "pitch", figure, least: LEAST_PITCH }, ...turns];
}

const toDegrees = (pitch: number): number => Number(((Math.atan(pitch) * 180) / Math.PI).toFixed(12));

export function withRoomFigure(room: Room, path: string, value: number): Room {
  if (path === PITCH_PATH) return { ...room, ceiling: { ...room.ceiling, pitchDegrees: toDegrees(value) } };
  const runId = /^runs\.([^.]+)\.turn$/.exec(path)?.[1];
  if (runId === undefined) throw new Error(`room: "${path}" is not one of its figures`);
  return withTurn(room, runId, value);
}
