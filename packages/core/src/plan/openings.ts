import { dot } from "../geometry";
import type { Room, RoomOpening, SharedOpening } from "../kinds";
import type { Nanometres } from "../units";
import type { PlacedFace, PlacedRoom } from "./place";
import type { PlanWall } from "./walls";

/** An opening where it is along a wall of the storey. */
export type PlanOpening = {
  readonly opening: RoomOpening;
  readonly face: PlacedFace;
  readonly roomName: string;
  readonly fromNm: Nanometres;
  readonly toNm: Nanometres;
};

const sameWay = (face: PlacedFace, wall: PlanWall): boolean =>
  face.heading.x * wall.direction.x + face.heading.y * wall.direction.y > 0;

/** The stretch of a wall between two places along a face's host. */
export function stretchOn(wall: PlanWall, face: PlacedFace, startNm: Nanometres, endNm: Nanometres) {
  const baseNm = dot(face.from, wall.direction);
  const way = sameWay(face, wall) ? 1 : -1;
  const ends = [baseNm + way * (startNm - face.face.startNm), baseNm + way * (endNm - face.face.startNm)];
  return { fromNm: Math.round(Math.min(...ends)), toNm: Math.round(Math.max(...ends)) };
}

const known = new WeakMap<readonly PlacedRoom[], ReadonlyMap<string, Room>>();

/** Asked for once a wall: of the same rooms each time. */
function roomsById(rooms: readonly PlacedRoom[]): ReadonlyMap<string, Room> {
  const found = known.get(rooms) ?? new Map(rooms.map(({ room }) => [room.id, room]));
  known.set(rooms, found);
  return found;
}

type Found = { readonly rooms: readonly PlacedRoom[]; readonly openings: readonly PlanOpening[] };
const foundIn = new WeakMap<PlanWall, Found>();

/** Every opening typed in the rooms along a wall. Asked for by all that is built along it: looked up once. */
export function openingsIn(wall: PlanWall, rooms: readonly PlacedRoom[]): readonly PlanOpening[] {
  const before = foundIn.get(wall);
  if (before?.rooms === rooms) return before.openings;
  const openings = lookedUp(wall, rooms);
  foundIn.set(wall, { rooms, openings });
  return openings;
}

function lookedUp(wall: PlanWall, rooms: readonly PlacedRoom[]): PlanOpening[] {
  const byId = roomsById(rooms);
  return wall.faces.flatMap((face) => {
    const room = byId.get(face.roomId);
    const { hostId, startNm, endNm } = face.face;
    if (!room || hostId === undefined) return [];
    return room.openings
      .filter((opening) => opening.hostId === hostId)
      .filter(({ position: { valueNm } }) => valueNm !== null && valueNm >= startNm && valueNm < endNm)
      .map((opening): PlanOpening => {
        const nearNm = opening.position.valueNm ?? 0;
        const span = stretchOn(wall, face, nearNm, nearNm + (opening.width.valueNm ?? 0));
        return { opening, face, roomName: room.name, ...span };
      });
  });
}

const facesAway = (a: PlacedFace, b: PlacedFace): boolean => a.out.x * b.out.x + a.out.y * b.out.y < 0;

/** A neighbour's opening as the room on the other side of the wall measures it. */
function seenFrom(face: PlacedFace, wall: PlanWall, other: PlanOpening): SharedOpening | undefined {
  const own = stretchOn(wall, face, face.face.startNm, face.face.endNm);
  const middleNm = (other.fromNm + other.toNm) / 2;
  const { hostId } = face.face;
  if (hostId === undefined || middleNm < own.fromNm || middleNm > own.toNm) return undefined;
  const fromStartNm = sameWay(face, wall) ? other.fromNm - own.fromNm : own.toNm - other.toNm;
  const positionNm = face.face.startNm + fromStartNm;
  return {
    ...other.opening,
    hostId,
    position: { ...other.opening.position, valueNm: positionNm, typed: "" },
    sharedFrom: { roomId: other.face.roomId, roomName: other.roomName },
  };
}

/** The openings that each room shares from its neighbours. */
export function sharedOpenings(walls: readonly PlanWall[], rooms: readonly PlacedRoom[]): Map<string, SharedOpening[]> {
  const shared = new Map<string, SharedOpening[]>();
  for (const wall of walls) {
    const openings = openingsIn(wall, rooms);
    for (const face of wall.faces) {
      const seen = openings
        .filter((each) => each.face.roomId !== face.roomId && facesAway(each.face, face))
        .flatMap((each) => seenFrom(face, wall, each) ?? []);
      if (seen.length > 0) shared.set(face.roomId, [...(shared.get(face.roomId) ?? []), ...seen]);
    }
  }
  return shared;
}
