import { distance, polygonArea } from "../geometry";
import {
  ceilingPlanes,
  dropSideArea,
  nameOfFace,
  type Opening,
  openingArea,
  type RoomOpening,
  revealLengthNm,
  ridgeBetween,
  type SharedOpening,
  slopedArea,
} from "../kinds";
import type { Surface, SurfaceOpening } from "../parts/surface";
import { areaOf } from "../units";
import { roomsOf, wallsOfRoom } from "./byRoom";
import type { PlacedFace, PlacedRoom } from "./place";
import type { StoreyPlan } from "./storeyPlan";

type AnyOpening = RoomOpening | SharedOpening;
type On = { readonly placed: PlacedRoom; readonly storey: StoreyPlan; readonly openings: readonly AnyOpening[] };

const named = ({ placed: { room }, storey }: On) => ({ roomId: room.id, roomName: room.name, storey: storey.name });

/** More rooms behind one wall are not named. */
const MOST_BEHIND = 20;

/** Rooms on the other side of a wall along a face; outside where there is none. */
function behindFace({ face, roomId, heading, from, to }: PlacedFace, storey: StoreyPlan): string[] {
  const own = wallsOfRoom(storey, roomId).find(({ faces }) => faces.some((other) => other.face.id === face.id));
  if (!own) return [];
  const { wall } = own;
  const along = (point: PlacedFace["from"]) => point.xNm * heading.x + point.yNm * heading.y;
  const [startNm, endNm] = [along(from), along(to)];
  const ids = new Set<string>();
  for (const other of wall.faces) {
    if (other.roomId === roomId) continue;
    const [from, to] = [along(other.from), along(other.to)];
    if (Math.min(from, to) < endNm - 1 && Math.max(from, to) > startNm + 1) ids.add(other.roomId);
    if (ids.size > MOST_BEHIND) break;
  }
  const names = roomsOf(storey, ids).map(({ room }) => room.name);
  return names.length > MOST_BEHIND ? [...names.slice(0, MOST_BEHIND), "others"] : names;
}

function openingIn(opening: AnyOpening, placedFace: PlacedFace, clockwise: boolean): SurfaceOpening[] {
  const { face } = placedFace;
  const atNm = opening.position.valueNm;
  const [widthNm, heightNm] = [opening.width.valueNm ?? 0, opening.height.valueNm ?? 0];
  if (face.hostId !== opening.hostId || atNm === null || atNm < face.startNm || atNm >= face.endNm) return [];
  const fromStartNm = atNm - face.startNm;
  const lengthNm = face.endNm - face.startNm;
  // A walk with the clock goes from left to right along the wall it looks at.
  const xNm = clockwise ? fromStartNm : lengthNm - fromStartNm - widthNm;
  const { id, name, kind, sill } = opening;
  return [{ id, name, kind, xNm, yNm: sill.valueNm ?? 0, widthNm, heightNm, areaM2: openingArea(opening) }];
}

function wallSurface(on: On, placedFace: PlacedFace): Surface[] {
  const { placed, storey } = on;
  const { face } = placedFace;
  const planes = ceilingPlanes(placed.room, placed.outline);
  if (!planes) return [];
  const clockwise = placed.outline.clockwise;
  const points = [face.from, ...ridgeBetween(face.from, face.to, planes), face.to];
  const lengthNm = Math.round(distance(face.from, face.to));
  const alongNm = (nm: number) => Math.round(clockwise ? nm : lengthNm - nm);
  const top = points.map((point) => ({
    xNm: alongNm(distance(face.from, point)),
    yNm: Math.round(planes.heightAt(point)),
  }));
  const outline = [{ xNm: alongNm(0), yNm: 0 }, ...top, { xNm: alongNm(lengthNm), yNm: 0 }];
  const behind = behindFace(placedFace, storey);
  return [
    {
      ...named(on),
      id: `wall/${face.id}`,
      side: "wall",
      name: nameOfFace(placed.room, placed.outline.faces, face),
      outline,
      areaM2: polygonArea(outline),
      openings: on.openings.flatMap((opening) => openingIn(opening, placedFace, clockwise)),
      widthNm: lengthNm,
      heightNm: Math.max(...top.map((point) => point.yNm)),
      behind: behind.join(" and ") || "outside",
      outside: behind.length === 0,
    },
  ];
}

function flatSurfaces(on: On): Surface[] {
  const { room, polygon, outline: outlineOfRoom } = on.placed;
  const flat = outlineOfRoom.polygon;
  if (!polygon || !flat) return [];
  const [xs, ys] = [flat.map((point) => point.xNm), flat.map((point) => point.yNm)];
  const size = { widthNm: Math.max(...xs) - Math.min(...xs), heightNm: Math.max(...ys) - Math.min(...ys) };
  const shared = { ...named(on), outline: flat, openings: [], ...size, outside: false };
  const floor = { ...shared, id: "floor", side: "floor" as const, name: "Floor", areaM2: polygonArea(flat) };
  const planes = ceilingPlanes(room, outlineOfRoom);
  const drops = room.ceiling.drops.reduce((sum, drop) => sum + dropSideArea(drop), 0);
  const areaM2 = planes ? slopedArea(polygonArea(flat), planes.slope) + drops : 0;
  const ceiling = { ...shared, id: "ceiling", side: "ceiling" as const, name: "Ceiling", areaM2 };
  return [{ ...floor, behind: "what is below" }, ...(planes ? [{ ...ceiling, behind: "what is above" }] : [])];
}

function revealSurface(on: On, opening: Opening & AnyOpening): Surface[] {
  const { room, outline } = on.placed;
  const thicknessNm = outline.faces.find((face) => face.hostId === opening.hostId)?.thicknessNm ?? 0;
  const roundNm = revealLengthNm(opening);
  if (roundNm === 0 || thicknessNm === 0 || !room.openings.some((own) => own.id === opening.id)) return [];
  const outlineNm = [
    { xNm: 0, yNm: 0 },
    { xNm: roundNm, yNm: 0 },
    { xNm: roundNm, yNm: thicknessNm },
    { xNm: 0, yNm: thicknessNm },
  ];
  return [
    {
      ...named(on),
      id: `reveal/${opening.id}`,
      side: "reveal",
      name: `Reveal of ${opening.name}`,
      outline: outlineNm,
      areaM2: areaOf(roundNm, thicknessNm),
      openings: [],
      widthNm: roundNm,
      heightNm: thicknessNm,
      behind: "the wall",
      outside: false,
    },
  ];
}

const known = new WeakMap<StoreyPlan, readonly Surface[]>();

/** Every surface of a storey's rooms that close: walls and ceilings once a height is known. Worked out once for a plan. */
export function surfacesOf(storey: StoreyPlan): readonly Surface[] {
  const before = known.get(storey);
  if (before) return before;
  const surfaces = storey.rooms.flatMap((placed) => {
    if (!placed.polygon) return [];
    const shared = storey.surroundings.get(placed.room.id)?.sharedOpenings ?? [];
    const on: On = { placed, storey, openings: [...placed.room.openings, ...shared] };
    return [
      ...placed.faces.flatMap((face) => wallSurface(on, face)),
      ...flatSurfaces(on),
      ...on.openings.flatMap((opening) => revealSurface(on, opening as Opening & AnyOpening)),
    ];
  });
  known.set(storey, surfaces);
  return surfaces;
}

const byName = new WeakMap<StoreyPlan, ReadonlyMap<string, Surface>>();

/** One surface of a room; undefined where there is none of that id. */
export function surfaceOf(storey: StoreyPlan, roomId: string, surfaceId: string): Surface | undefined {
  const named =
    byName.get(storey) ?? new Map(surfacesOf(storey).map((each) => [`${each.roomId} ${each.id}`, each] as const));
  byName.set(storey, named);
  return named.get(`${roomId} ${surfaceId}`);
}
