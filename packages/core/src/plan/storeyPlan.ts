import { type Bounds, boundsOf, indexBoxes, overlapArea, type Polygon } from "../geometry";
import {
  ALONE,
  isRoof,
  isRoom,
  isStorey,
  isWallPart,
  type Part,
  type Roof,
  type Room,
  type SharedOpening,
  type StoreyPart,
  type Surroundings,
  type WallPart,
} from "../kinds";
import { metres, type SquareMetres } from "../units";
import { type Footprint, footprintOf } from "./footprint";
import { sharedOpenings } from "./openings";
import { type PlacedRoom, placeRooms } from "./place";
import { type PlanWall, planWalls } from "./walls";

export type Overlap = { readonly a: Room; readonly b: Room; readonly area: SquareMetres };

/** One storey from above: rooms where they stand, the walls between and round them, and what follows. */
export type StoreyPlan = {
  readonly name: string;
  readonly storey: StoreyPart | undefined;
  /** The rooms it was made from, as they were entered. */
  readonly entered: readonly Room[];
  readonly rooms: readonly PlacedRoom[];
  readonly walls: readonly PlanWall[];
  readonly footprint: Footprint | undefined;
  readonly overlaps: readonly Overlap[];
  readonly surroundings: ReadonlyMap<string, Surroundings>;
};

export type JobPlan = {
  readonly storeys: readonly StoreyPlan[];
  /** The walls of the job that are built, as they were entered. */
  readonly walls: readonly WallPart[];
  /** Its pitched roofs, as they were entered. */
  readonly roofs: readonly Roof[];
};

/** Rounding and thin slivers of a joined wall are no overlap. */
const LEAST_OVERLAP: SquareMetres = 0.02;

type Boxed = { readonly room: Room; readonly polygon: Polygon; readonly box: Bounds; readonly order: number };

/** More are not listed: somebody who put a hundred rooms in one place has seen by then that they lie over each other. */
export const MOST_OVERLAPS = 200;

/** Rooms that lie over each other, at most so many pairs. */
function overlapsOf(rooms: readonly PlacedRoom[]): Overlap[] {
  const boxed = rooms.flatMap(({ room, polygon }, order): Boxed[] => {
    const box = polygon && boundsOf(polygon);
    return polygon && box ? [{ room, polygon, box, order }] : [];
  });
  const near = indexBoxes(boxed, ({ box }) => box);
  const found: Overlap[] = [];
  for (const a of boxed)
    for (const b of near(a.box)) {
      if (b.order <= a.order || !boxesMeet(a.box, b.box)) continue;
      const area = overlapArea(a.polygon, b.polygon);
      if (area >= LEAST_OVERLAP) found.push({ a: a.room, b: b.room, area });
      if (found.length === MOST_OVERLAPS) return found;
    }
  return found;
}

const boxesMeet = (a: Bounds, b: Bounds): boolean =>
  a.min.xNm < b.max.xNm && b.min.xNm < a.max.xNm && a.min.yNm < b.max.yNm && b.min.yNm < a.max.yNm;

export function planStorey(name: string, rooms: readonly Room[], storey: StoreyPart | undefined): StoreyPlan {
  const placed = placeRooms(rooms);
  const walls = planWalls(placed);
  const shared = sharedOpenings(walls, placed);
  // The outside and what overlaps are worked out when they are first asked for: an entry in one room does not wait for them.
  const footprint = atFirstAsking(() => footprintOf(placed));
  const overlaps = atFirstAsking(() => overlapsOf(placed));
  return {
    name,
    storey,
    entered: rooms,
    rooms: placed,
    walls,
    get footprint() {
      return footprint();
    },
    get overlaps() {
      return overlaps();
    },
    surroundings: new Map(placed.map(({ room }) => [room.id, surroundingsIn(room, shared.get(room.id))])),
  };
}

function atFirstAsking<T>(make: () => T): () => T {
  let made: { readonly value: T } | undefined;
  return () => {
    made ??= { value: make() };
    return made.value;
  };
}

/** `room` as placed: its joined run has the neighbour's thickness. */
function surroundingsIn(room: Room, sharedOpenings: readonly SharedOpening[] = []): Surroundings {
  const { place, runs } = room;
  const run = place.how === "joined" ? runs.find((each) => each.id === place.runId) : undefined;
  return run ? { sharedOpenings, sharedThickness: { runId: run.id, thickness: run.thickness } } : { sharedOpenings };
}

/** The storeys' names from the lowest up; those without a level stay in the order they came. */
export function storeyNames(parts: readonly Part[]): readonly string[] {
  const levels = new Map(parts.filter(isStorey).map((part) => [part.storey, part.level]));
  const names = [...new Set(parts.map((part) => part.storey))];
  return names.toSorted((a, b) => (levels.get(a) ?? 0) - (levels.get(b) ?? 0));
}

/** The plan of every storey. One of the plan `before` stands again while its rooms are the same objects. */
export function planJob(parts: readonly Part[], before?: JobPlan): JobPlan {
  const rooms = parts.filter(isRoom);
  const storeys = parts.filter(isStorey);
  const planOf = (name: string): StoreyPlan => {
    const own = rooms.filter((room) => room.storey === name);
    const storey = storeys.find((each) => each.storey === name);
    const known = before?.storeys.find((each) => each.name === name);
    return known && known.storey === storey && sameRooms(known.entered, own) ? known : planStorey(name, own, storey);
  };
  return { walls: parts.filter(isWallPart), roofs: parts.filter(isRoof), storeys: storeyNames(parts).map(planOf) };
}

const sameRooms = (a: readonly Room[], b: readonly Room[]): boolean =>
  a.length === b.length && a.every((room, index) => room === b[index]);

/** Plans a job again and again as it changes; what has not changed of it is not planned anew. */
export class Planner {
  private before: JobPlan | undefined;

  plan(parts: readonly Part[]): JobPlan {
    this.before = planJob(parts, this.before);
    return this.before;
  }
}

export const surroundingsOf = (plan: JobPlan, partId: string): Surroundings =>
  plan.storeys.flatMap((storey) => storey.surroundings.get(partId) ?? [])[0] ?? ALONE;

const BESIDE_NM = metres(1);

/** A free place for a new room, beside all that stands on its storey. */
export function placeBeside(plan: StoreyPlan | undefined): Extract<Room["place"], { how: "free" }> {
  const corners = (plan?.rooms ?? []).flatMap((room) => room.faces.flatMap((face) => [face.from, face.to]));
  const bounds = boundsOf(corners);
  const free = { how: "free" as const, turnDegrees: 0 };
  if (!bounds) return { ...free, xNm: 0, yNm: 0 };
  return { ...free, xNm: Math.round(bounds.max.xNm + BESIDE_NM), yNm: Math.round(bounds.max.yNm) };
}
