import {
  along,
  type Direction,
  directionOf,
  dot,
  minus,
  normalDegrees,
  type Point,
  type Polygon,
  plus,
  turned,
} from "../geometry";
import { type Face, headings, outlineOf, outward, type Room, type RoomOutline } from "../kinds";

/** A face of a room where it stands on the storey. */
export type PlacedFace = {
  readonly roomId: string;
  readonly face: Face;
  readonly from: Point;
  readonly to: Point;
  readonly heading: Direction;
  readonly out: Direction;
};

/** A room where it stands. `room` has the thickness of a wall it shares from the room it was joined to. */
export type PlacedRoom = {
  readonly room: Room;
  readonly outline: RoomOutline;
  readonly origin: Point;
  readonly turnDegrees: number;
  /** On the storey; nothing while its walk is open. */
  readonly polygon: Polygon | undefined;
  readonly faces: readonly PlacedFace[];
  /** Why it does not stand where it was put: what it was joined to is gone or open, or the joins go round in a circle. */
  readonly adrift: boolean;
};

export const onStorey = (point: Point, { origin, turnDegrees }: Pick<PlacedRoom, "origin" | "turnDegrees">): Point =>
  plus(origin, turned(point, turnDegrees));

/** A room at an origin, turned. */
export function placedAt(room: Room, origin: Point, turnDegrees: number, adrift = false): PlacedRoom {
  const outline = outlineOf(room);
  const at = { origin, turnDegrees };
  const faces = outline.faces.flatMap((face): PlacedFace[] => {
    const [from, to] = [onStorey(face.from, at), onStorey(face.to, at)];
    const lengthNm = Math.hypot(to.xNm - from.xNm, to.yNm - from.yNm);
    if (lengthNm === 0) return [];
    const heading = { x: (to.xNm - from.xNm) / lengthNm, y: (to.yNm - from.yNm) / lengthNm };
    return [{ roomId: room.id, face, from, to, heading, out: outward(heading, outline.clockwise) }];
  });
  const polygon = outline.polygon?.map((point) => onStorey(point, at));
  return { room, outline, origin, turnDegrees, polygon, faces, adrift };
}

/** A run of a placed room: where it starts, the way it goes and the way out of the room, all on the storey. */
export type PlacedRun = {
  readonly start: Point;
  readonly end: Point;
  readonly degrees: number;
  readonly outDegrees: number;
};

export function placedRun(placed: PlacedRoom, runId: string): PlacedRun | undefined {
  const { room, outline, turnDegrees } = placed;
  const index = room.runs.findIndex((run) => run.id === runId);
  const [from, to] = [outline.corners[index], outline.corners[index + 1]];
  const heading = headings(room.runs)[index];
  if (!from || !to || heading === undefined) return undefined;
  const degrees = normalDegrees(heading + turnDegrees);
  const outDegrees = normalDegrees(degrees + (outline.clockwise ? 90 : -90));
  return { start: onStorey(from, placed), end: onStorey(to, placed), degrees, outDegrees };
}

const withThickness = (room: Room, runId: string, host: Room, hostRunId: string): Room => {
  const thickness = host.runs.find((run) => run.id === hostRunId)?.thickness;
  return thickness ? { ...room, runs: room.runs.map((run) => (run.id === runId ? { ...run, thickness } : run)) } : room;
};

/** A room put back to back with a wall of one that stands. Undefined where one of the two runs is not measured. */
export function joinedTo(
  host: PlacedRoom,
  room: Room,
  place: Extract<Room["place"], { how: "joined" }>,
): PlacedRoom | undefined {
  const wall = placedRun(host, place.toRunId);
  const shared = withThickness(room, place.runId, host.room, place.toRunId);
  const own = placedRun(placedAt(shared, { xNm: 0, yNm: 0 }, 0), place.runId);
  const thicknessNm = host.room.runs.find((run) => run.id === place.toRunId)?.thickness.valueNm ?? 0;
  if (!wall || !own) return undefined;
  const turnDegrees = normalDegrees(wall.outDegrees + 180 - own.outDegrees);
  const way = directionOf(wall.degrees);
  const ends = [turned(own.start, turnDegrees), turned(own.end, turnDegrees)] as const;
  const near = dot(ends[0], way) <= dot(ends[1], way) ? ends[0] : ends[1];
  const target = along(along(wall.start, way, place.offset.valueNm ?? 0), directionOf(wall.outDegrees), thicknessNm);
  return placedAt(shared, minus(target, near), turnDegrees);
}

/** Where every room of a storey stands. Rooms that were joined follow the one they were joined to. */
export function placeRooms(rooms: readonly Room[]): readonly PlacedRoom[] {
  const byId = new Map(rooms.map((room) => [room.id, room]));
  const done = new Map<string, PlacedRoom>();
  const place = (room: Room, waiting: ReadonlySet<string>): PlacedRoom => {
    const known = done.get(room.id);
    if (known) return known;
    const placed = placeOne(room, waiting);
    done.set(room.id, placed);
    return placed;
  };
  const placeOne = (room: Room, waiting: ReadonlySet<string>): PlacedRoom => {
    if (room.place.how === "free") {
      return placedAt(room, { xNm: room.place.xNm, yNm: room.place.yNm }, room.place.turnDegrees);
    }
    const hostRoom = byId.get(room.place.toRoomId);
    const circle = waiting.has(room.place.toRoomId) || room.place.toRoomId === room.id;
    const host = hostRoom && !circle ? place(hostRoom, new Set([...waiting, room.id])) : undefined;
    return (host && joinedTo(host, room, room.place)) ?? placedAt(room, { xNm: 0, yNm: 0 }, 0, true);
  };
  return rooms.map((room) => place(room, new Set([room.id])));
}
