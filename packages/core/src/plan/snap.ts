import { directionOf, dot, minus, normalDegrees, type Point } from "../geometry";
import { assumedDimension, type Room } from "../kinds";
import type { MeasuringSystem, Nanometres } from "../units";
import { inches, millimetres } from "../units";
import { joinedTo, type PlacedRoom, placedAt, placedRun } from "./place";
import type { StoreyPlan } from "./storeyPlan";

export type Snapped = { readonly room: Room; readonly placed: PlacedRoom; readonly toRoom: Room };

const STEP: Record<MeasuringSystem, Nanometres> = { imperial: inches(1), metric: millimetres(10) };

/** Rooms that stand where they do because of this one: it cannot be joined to them. */
function followers(plan: StoreyPlan, roomId: string): ReadonlySet<string> {
  const found = new Set([roomId]);
  let grew = true;
  while (grew) {
    grew = false;
    for (const { room } of plan.rooms) {
      if (room.place.how !== "joined" || found.has(room.id) || !found.has(room.place.toRoomId)) continue;
      found.add(room.id);
      grew = true;
    }
  }
  return found;
}

/** To a corner of the neighbour's wall when it is near, otherwise to a whole step. */
function settled(offsetNm: number, ownNm: number, wallNm: number, reachNm: number, step: number): number {
  if (Math.abs(offsetNm) <= reachNm) return 0;
  if (Math.abs(wallNm - ownNm - offsetNm) <= reachNm) return Math.round(wallNm - ownNm);
  return Math.round(offsetNm / step) * step;
}

const lengthOf = (a: Point, b: Point): number => Math.hypot(b.xNm - a.xNm, b.yNm - a.yNm);

type Found = {
  readonly host: PlacedRoom;
  readonly runId: string;
  readonly toRunId: string;
  readonly offsetNm: number;
  readonly awayNm: number;
};

/** Walls of one room that come back to back with a neighbour's within reach. */
function* meetings(moved: PlacedRoom, host: PlacedRoom, reachNm: number): Generator<Found> {
  for (const run of moved.room.runs) {
    const own = placedRun(moved, run.id);
    if (!own) continue;
    for (const toRun of host.room.runs) {
      const wall = placedRun(host, toRun.id);
      if (!wall || Math.abs(normalDegrees(wall.outDegrees - own.outDegrees) - 180) > 2) continue;
      const out = directionOf(wall.outDegrees);
      const way = directionOf(wall.degrees);
      const awayNm = Math.abs(dot(minus(own.start, wall.start), out) - (toRun.thickness.valueNm ?? 0));
      const offsetNm = Math.min(dot(minus(own.start, wall.start), way), dot(minus(own.end, wall.start), way));
      const apart = offsetNm > lengthOf(wall.start, wall.end) || offsetNm < -lengthOf(own.start, own.end);
      if (awayNm <= reachNm && !apart) yield { host, runId: run.id, toRunId: toRun.id, offsetNm, awayNm };
    }
  }
}

/**
 * A room moved to an origin on the plan, and the wall it comes to lie against when it is put down there. Without one within
 * reach it stands free.
 */
export function snapRoom(
  plan: StoreyPlan,
  room: Room,
  origin: Point,
  reachNm: Nanometres,
  system: MeasuringSystem,
): Snapped | undefined {
  const now = plan.rooms.find((each) => each.room.id === room.id);
  const moved = placedAt(room, origin, now?.turnDegrees ?? 0);
  const tied = followers(plan, room.id);
  const hosts = plan.rooms.filter((each) => !tied.has(each.room.id));
  const found = hosts.flatMap((host) => [...meetings(moved, host, reachNm)]).toSorted((a, b) => a.awayNm - b.awayNm);
  const [best] = found;
  return best && joinRoom(room, best, reachNm, system);
}

function joinRoom(
  room: Room,
  { host, runId, toRunId, offsetNm }: Found,
  reachNm: number,
  system: MeasuringSystem,
): Snapped | undefined {
  const lengths = [room.runs, host.room.runs].map(
    (runs, index) => runs.find((run) => run.id === (index === 0 ? runId : toRunId))?.length.valueNm ?? 0,
  );
  const [ownNm = 0, wallNm = 0] = lengths;
  const offset = assumedDimension(settled(offsetNm, ownNm, wallNm, reachNm, STEP[system]));
  const place = { how: "joined" as const, toRoomId: host.room.id, toRunId, runId, offset };
  const placed = joinedTo(host, room, place);
  return placed && { room: { ...room, place }, placed, toRoom: host.room };
}

/** Walls a room can be joined to: every measured wall of the others that do not depend on it. */
export function joinable(
  plan: StoreyPlan,
  roomId: string,
): readonly { readonly room: Room; readonly runIds: readonly string[] }[] {
  const tied = followers(plan, roomId);
  return plan.rooms
    .filter((each) => !tied.has(each.room.id))
    .map(({ room }) => ({ room, runIds: room.runs.filter((run) => run.length.valueNm !== null).map((run) => run.id) }))
    .filter(({ runIds }) => runIds.length > 0);
}

/** Free again, where it stands now or a way from there. */
export function freed({ room, origin, turnDegrees }: PlacedRoom, by: Point = { xNm: 0, yNm: 0 }): Room {
  const [xNm, yNm] = [Math.round(origin.xNm + by.xNm), Math.round(origin.yNm + by.yNm)];
  return { ...room, place: { how: "free", xNm, yNm, turnDegrees } };
}
