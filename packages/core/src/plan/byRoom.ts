import type { PlacedFace, PlacedRoom } from "./place";
import type { StoreyPlan } from "./storeyPlan";
import type { PlanWall } from "./walls";

/** A wall of a storey, and the faces of one room along it. */
export type WallOfRoom = { readonly wall: PlanWall; readonly faces: readonly PlacedFace[] };

type ByRoom = {
  readonly walls: ReadonlyMap<string, readonly WallOfRoom[]>;
  readonly rooms: ReadonlyMap<string, { readonly placed: PlacedRoom; readonly order: number }>;
};

const known = new WeakMap<StoreyPlan, ByRoom>();

/** What of a storey belongs to each of its rooms: gone through once, and asked for by every wall and surface. */
function byRoom(storey: StoreyPlan): ByRoom {
  const before = known.get(storey);
  if (before) return before;
  const walls = new Map<string, WallOfRoom[]>();
  for (const wall of storey.walls) {
    for (const [roomId, faces] of facesByRoom(wall)) {
      const own = walls.get(roomId);
      if (own) own.push({ wall, faces });
      else walls.set(roomId, [{ wall, faces }]);
    }
  }
  const rooms = new Map(storey.rooms.map((placed, order) => [placed.room.id, { placed, order }]));
  const made = { walls, rooms };
  known.set(storey, made);
  return made;
}

function facesByRoom({ faces }: PlanWall): Map<string, PlacedFace[]> {
  const found = new Map<string, PlacedFace[]>();
  for (const face of faces) {
    const own = found.get(face.roomId);
    if (own) own.push(face);
    else found.set(face.roomId, [face]);
  }
  return found;
}

/** The walls along a room, in the order of the storey. */
export const wallsOfRoom = (storey: StoreyPlan, roomId: string): readonly WallOfRoom[] =>
  byRoom(storey).walls.get(roomId) ?? [];

export const placedRoom = (storey: StoreyPlan, roomId: string): PlacedRoom | undefined =>
  byRoom(storey).rooms.get(roomId)?.placed;

/** The rooms of these ids, each once, in the order of the storey. */
export function roomsOf(storey: StoreyPlan, ids: Iterable<string>): PlacedRoom[] {
  const { rooms } = byRoom(storey);
  return [...new Set(ids)]
    .flatMap((id) => rooms.get(id) ?? [])
    .toSorted((a, b) => a.order - b.order)
    .map(({ placed }) => placed);
}

const alongWalls = new WeakMap<PlanWall, readonly PlacedRoom[]>();

/** The rooms on the sides of a wall, in the order of the storey. */
export function roomsBeside(storey: StoreyPlan, wall: PlanWall): readonly PlacedRoom[] {
  const before = alongWalls.get(wall);
  if (before) return before;
  const rooms = roomsOf(
    storey,
    wall.faces.map(({ roomId }) => roomId),
  );
  alongWalls.set(wall, rooms);
  return rooms;
}

const namedAlong = new WeakMap<PlanWall, string>();

/** What the rooms on the sides of a wall are called: `Hall and Kitchen`. */
export function namesBeside(storey: StoreyPlan, wall: PlanWall): string {
  const before = namedAlong.get(wall);
  if (before !== undefined) return before;
  const names = roomsBeside(storey, wall)
    .map(({ room }) => room.name)
    .join(" and ");
  namedAlong.set(wall, names);
  return names;
}
