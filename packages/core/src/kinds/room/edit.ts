import { assumedDimension, confirmedChoice } from "../../parts/dimension";
import type { PartContext } from "../../parts/partKind";
import { newRun, SQUARE_RIGHT } from "./defaults";
import type { Closing, Room, RoomRun } from "./schema";
import { measuredRuns, walkOf } from "./walk";

/** Square, the way the walk goes round as a whole: an inner corner does not change what is likely next. */
const usualTurn = (runs: readonly RoomRun[]): number =>
  runs.reduce((sum, run) => sum + run.turnDegrees.value, 0) > 0 ? -SQUARE_RIGHT : SQUARE_RIGHT;

/**
 * Goes on with a walk after an entry: a walk that comes back to its start is done; otherwise the next run waits.
 */
export function walkOn(room: Room, nextRunId: string, context: PartContext): Room {
  if (room.finished) return room;
  const runs = measuredRuns(room);
  const last = runs[runs.length - 1];
  if (!last || runs.length < room.runs.length) return room;
  const { gap } = walkOf(room);
  if (runs.length > 2 && gap && Math.hypot(gap.xNm, gap.yNm) <= (room.tolerance.valueNm ?? 0) / 100) {
    return { ...room, finished: true };
  }
  return { ...room, runs: [...room.runs, newRun(nextRunId, context, usualTurn(runs))] };
}

/** Says that the walk is done: the run that waits for a figure is none. Undefined with fewer than three runs. */
export function finishWalk(room: Room): Room | undefined {
  const runs = measuredRuns(room);
  return runs.length < 3 ? undefined : { ...room, runs: [...runs], finished: true };
}

/** Takes a walk up again at its end. */
export function reopenWalk(room: Room, nextRunId: string, context: PartContext): Room {
  const next = newRun(nextRunId, context, usualTurn(room.runs));
  return { ...room, finished: false, closing: null, runs: [...room.runs, next] };
}

const withRuns = (room: Room, runs: readonly RoomRun[]): Room => ({ ...room, runs: [...runs] });

/** Sets the turn at the end of a run. A run that waits still turns the way the walk goes round. */
export function withTurn(room: Room, runId: string, degrees: number): Room {
  const set = room.runs.map((run) => (run.id === runId ? { ...run, turnDegrees: confirmedChoice(degrees) } : run));
  const usual = usualTurn(set.slice(0, -1));
  const runs = set.map((run, index) => {
    const waits = index === set.length - 1 && run.length.valueNm === null && run.turnDegrees.assumed;
    return waits ? { ...run, turnDegrees: { value: usual, assumed: true } } : run;
  });
  return withRuns(room, runs);
}

/** Agrees to make a small gap good, for this gap only. */
export function withClosing(room: Room, how: Closing["how"]): Room {
  const { gap } = walkOf(room);
  return gap ? { ...room, closing: { how, gapXNm: gap.xNm, gapYNm: gap.yNm } } : room;
}

/** Takes a run out with all that is in it. */
export function withoutRun(room: Room, runId: string): Room {
  const features = room.features.filter((feature) => feature.runId === runId).map((feature) => feature.id);
  const gone = new Set([runId, ...features]);
  return {
    ...room,
    runs: room.runs.filter((run) => run.id !== runId),
    features: room.features.filter((feature) => !gone.has(feature.id)),
    openings: room.openings.filter((opening) => !gone.has(opening.hostId)),
  };
}

export const withoutFeature = (room: Room, featureId: string): Room => ({
  ...room,
  features: room.features.filter((feature) => feature.id !== featureId),
  openings: room.openings.filter((opening) => opening.hostId !== featureId),
});

const isSquare = (runs: readonly RoomRun[]): boolean => {
  const [first] = runs;
  return (
    Math.abs(first?.turnDegrees.value ?? 0) === 90 &&
    runs.every((run) => run.turnDegrees.value === first?.turnDegrees.value)
  );
};

/** Walls of a rectangle that are as long as those opposite until somebody measures them, by their runs: nobody is asked for them. */
export function runsLikeOpposite(room: Room): ReadonlySet<string> {
  const followed = followRectangle(room).runs;
  const [a, b] = followed;
  if (followed === room.runs || !a || !b) return new Set();
  return new Set(followed.slice(2).flatMap(({ id, length }) => (length.assumed ? [id] : [])));
}

/** In a rectangle of which two walls were measured, the walls opposite follow them until they are measured too. */
export function followRectangle(room: Room): Room {
  const [a, b, c, d] = room.runs;
  if (!room.finished || room.runs.length !== 4 || !a || !b || !c || !d || !isSquare(room.runs)) return room;
  const follow = (run: RoomRun, opposite: RoomRun): RoomRun => {
    const untouched = run.length.assumed || run.length.valueNm === null;
    if (!untouched || opposite.length.valueNm === null) return run;
    return { ...run, length: { ...assumedDimension(opposite.length.valueNm) } };
  };
  return { ...room, runs: [a, b, follow(c, a), follow(d, b)] };
}
