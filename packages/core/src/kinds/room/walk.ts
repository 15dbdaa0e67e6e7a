import {
  along,
  distance,
  headingFrom,
  lengthsToReach,
  minus,
  normalDegrees,
  ORIGIN,
  type Point,
  plus,
  walkedPoints,
} from "../../geometry";
import { millimetres, type Nanometres } from "../../units";
import type { Room, RoomRun } from "./schema";

/** Below this a gap is the rounding of a slanting run to whole nanometres, not a measurement. */
const NO_GAP_NM = millimetres(0.1);

/**
 * How a walk ends. `open`: runs still to come. `closed`: where it began. `small` and `large`: a gap that nobody has
 * agreed to. `spread` and `squared`: a small gap made good, as agreed.
 */
export type WalkState = "open" | "closed" | "small" | "large" | "spread" | "squared";

export type Walk = {
  readonly state: WalkState;
  /** From the start to the end of the walk as measured. Nothing while runs are missing. */
  readonly gap: Point | undefined;
  /** Start of each run that has a figure, and the end of the last, made good where that was agreed. */
  readonly corners: readonly Point[];
  /** The runs that have a figure, up to the first that has none. */
  readonly runs: readonly RoomRun[];
};

/** Heading of each run in degrees, the first along the page. */
export function headings(runs: readonly RoomRun[]): number[] {
  let heading = 0;
  return runs.map((run) => {
    const now = heading;
    heading = normalDegrees(heading + run.turnDegrees.value);
    return now;
  });
}

/** The corners of a walk as measured: one more than runs. */
export const measuredCorners = (runs: readonly RoomRun[]): Point[] =>
  walkedPoints(
    runs.map(({ length, turnDegrees }) => ({ lengthNm: length.valueNm ?? 0, turnDegrees: turnDegrees.value })),
  );

const lastOf = <T>(items: readonly T[], fallback: T): T => items[items.length - 1] ?? fallback;

export const gapSizeNm = (gap: Point): Nanometres => Math.round(distance(ORIGIN, gap));

const isNoGap = (gap: Point): boolean => gapSizeNm(gap) <= NO_GAP_NM;

/** The runs with figures, up to the first without. */
export function measuredRuns(room: Room): readonly RoomRun[] {
  const missing = room.runs.findIndex((run) => run.length.valueNm === null);
  return missing < 0 ? room.runs : room.runs.slice(0, missing);
}

export function walkOf(room: Room): Walk {
  const runs = measuredRuns(room);
  const corners = measuredCorners(runs);
  const gap = lastOf(corners, ORIGIN);
  const waiting = room.runs.length - runs.length;
  // The one run that waits for its figure while a person walks is no hole in the walk.
  const walking = waiting === 1 && !room.finished;
  if (runs.length < 2 || (waiting > 0 && !walking)) return { state: "open", gap: undefined, corners, runs };
  if (runs.length > 2 && isNoGap(gap)) return { state: "closed", gap, corners: closedUp(corners), runs };
  if (!room.finished || runs.length < 3) return { state: "open", gap, corners, runs };
  const agreed = room.closing?.gapXNm === gap.xNm && room.closing.gapYNm === gap.yNm ? room.closing.how : undefined;
  const small = gapSizeNm(gap) <= (room.tolerance.valueNm ?? 0);
  if (!small) return { state: "large", gap, corners, runs };
  const made = agreed === "spread" ? spread(corners) : agreed === "squared" ? squaredUp(corners) : undefined;
  return made && agreed ? { state: agreed, gap, corners: made, runs } : { state: "small", gap, corners, runs };
}

/** The end put exactly on the start; it was within a tenth of a millimetre. */
const closedUp = (corners: readonly Point[]): Point[] => [...corners.slice(0, -1), ORIGIN];

/**
 * The compass rule: the gap goes to the runs by their length.
 * Source: Bowditch's method of traverse adjustment, as in general surveying texts (from memory).
 */
export function spread(corners: readonly Point[]): Point[] {
  const gap = lastOf(corners, ORIGIN);
  const lengths = corners.slice(1).map((corner, index) => distance(corners[index] ?? ORIGIN, corner));
  const total = lengths.reduce((sum, lengthNm) => sum + lengthNm, 0);
  let walked = 0;
  return corners.map((corner, index) => {
    walked += index === 0 ? 0 : (lengths[index - 1] ?? 0);
    const share = walked / total;
    return { xNm: corner.xNm - Math.round(gap.xNm * share), yNm: corner.yNm - Math.round(gap.yNm * share) };
  });
}

/** Keeps every heading; the last two runs take the lengths that close the walk. Undefined where they cannot. */
export function squaredUp(corners: readonly Point[]): Point[] | undefined {
  const [from, middle, end] = corners.slice(-3);
  const first = from && middle ? headingFrom(from, middle) : undefined;
  const second = middle && end ? headingFrom(middle, end) : undefined;
  if (!from || !first || !second) return undefined;
  const lengths = lengthsToReach(minus(ORIGIN, from), first, second);
  if (!lengths || lengths[0] <= 0 || lengths[1] <= 0) return undefined;
  return [...corners.slice(0, -2), plus(from, along(ORIGIN, first, lengths[0])), ORIGIN];
}
