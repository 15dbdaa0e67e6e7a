import { isFaceOf, type Room, type WallOnPlan, type WallPart } from "../kinds";
import type { Nanometres } from "../units";
import { placedRoom, roomsBeside, wallsOfRoom } from "./byRoom";
import { openingsIn, type PlanOpening, stretchOn } from "./openings";
import type { PlacedFace } from "./place";
import type { JobPlan, StoreyPlan } from "./storeyPlan";
import type { PlanWall } from "./walls";

/** A wall that is built, where it stands on the plan. */
export type StandingWall = {
  readonly wall: PlanWall;
  readonly storey: StoreyPlan;
  readonly fromNm: Nanometres;
  readonly toNm: Nanometres;
  /** Whether its left end, seen from the room it was chosen in, is where the plan's wall begins. */
  readonly leftIsFrom: boolean;
};

type Span = { readonly fromNm: Nanometres; readonly toNm: Nanometres };

function spanOf({ stretch }: WallOnPlan, wall: PlanWall, faces: readonly PlacedFace[]): Span | undefined {
  const [first] = faces;
  if (!first) return undefined;
  if (stretch.how === "whole") return { fromNm: wall.framedFromNm, toNm: wall.framedToNm };
  if (stretch.how === "part") {
    const { from, to } = stretch;
    return from.valueNm === null || to.valueNm === null ? undefined : stretchOn(wall, first, from.valueNm, to.valueNm);
  }
  const spans = faces.map((face) => stretchOn(wall, face, face.face.startNm, face.face.endNm));
  const fromNm = Math.min(...spans.map((span) => span.fromNm));
  const toNm = Math.max(...spans.map((span) => span.toNm));
  // Where the room's side ends with the wall, the frame ends as the whole wall's does.
  return {
    fromNm: fromNm <= wall.fromNm ? wall.framedFromNm : fromNm,
    toNm: toNm >= wall.toNm ? wall.framedToNm : toNm,
  };
}

type OfPlan = { readonly wall: PlanWall; readonly storey: StoreyPlan; readonly faces: readonly PlacedFace[] };

/** Every wall of the plan along what a wall names: several where a recess or bump lies between. */
function wallsNamed({ roomId, hostId }: WallOnPlan, plan: JobPlan): OfPlan[] {
  return plan.storeys.flatMap((storey) =>
    wallsOfRoom(storey, roomId).flatMap(({ wall, faces: own }) => {
      const faces = own.filter((face) => isFaceOf(face.face, hostId));
      return faces.length > 0 ? [{ wall, storey, faces }] : [];
    }),
  );
}

const overlapNm = (a: Span, b: Span): number => Math.min(a.toNm, b.toNm) - Math.max(a.fromNm, b.fromNm);

/** The wall that most of a stretch lies along; for a whole wall or a room's side of it, the first. */
function chosenOf(onPlan: WallOnPlan, walls: readonly OfPlan[]): OfPlan | undefined {
  const { stretch } = onPlan;
  if (stretch.how !== "part") return walls[0];
  const [from, to] = [stretch.from.valueNm ?? 0, stretch.to.valueNm ?? 0];
  const wanted = { fromNm: Math.min(from, to), toNm: Math.max(from, to) };
  const reach = ({ faces }: OfPlan) =>
    Math.max(...faces.map(({ face }) => overlapNm(wanted, { fromNm: face.startNm, toNm: face.endNm })));
  return walls.reduce<OfPlan | undefined>(
    (best, each) => (!best || reach(each) > reach(best) ? each : best),
    undefined,
  );
}

/** Undefined while its room is not on the plan: gone, or not closed. */
export function standingWall(wallPart: WallPart, plan: JobPlan): StandingWall | undefined {
  const { plan: onPlan } = wallPart;
  const chosen = onPlan && chosenOf(onPlan, wallsNamed(onPlan, plan));
  if (!onPlan || !chosen) return undefined;
  const { wall, storey, faces } = chosen;
  const [face] = faces;
  const span = spanOf(onPlan, wall, faces);
  const room = placedRoom(storey, onPlan.roomId);
  if (!face || !span || !room) return undefined;
  const along = face.heading.x * wall.direction.x + face.heading.y * wall.direction.y > 0;
  return { wall, storey, ...span, leftIsFrom: along === room.outline.clockwise };
}

/** What a wall names and does not build: other stretches of a run past a recess or bump, with the openings in them. */
export type LeftOut = { readonly faces: readonly PlacedFace[]; readonly openings: readonly PlanOpening[] };

export function leftOutOf(wallPart: WallPart, standing: StandingWall, plan: JobPlan): LeftOut {
  const { plan: onPlan } = wallPart;
  if (!onPlan || onPlan.stretch.how === "part") return { faces: [], openings: [] };
  const others = wallsNamed(onPlan, plan).filter(({ wall }) => wall !== standing.wall);
  const faces = others.flatMap((each) => each.faces);
  const ids = new Set(faces.map(({ face }) => face.id));
  const openings = others
    .flatMap(({ wall, storey }) => openingsIn(wall, storey.rooms))
    .filter(({ face }) => ids.has(face.face.id));
  return { faces, openings };
}

/** Openings that the end of a stretch cuts through: they are framed in none of its sides. */
export const cutThrough = (standing: StandingWall): readonly PlanOpening[] =>
  openingsIn(standing.wall, standing.storey.rooms).filter(
    ({ fromNm, toNm }) =>
      overlapNm({ fromNm, toNm }, standing) > 0 && (fromNm < standing.fromNm || toNm > standing.toNm),
  );

/** The stretches of a room's wall that a standing wall is built along; none where it only stands in line with it. */
export function stretchesOf({ wall, fromNm, toNm }: StandingWall, roomId: string, hostId: string): readonly Span[] {
  return wall.faces
    .filter((face) => face.roomId === roomId && isFaceOf(face.face, hostId))
    .map((face) => stretchOn(wall, face, face.face.startNm, face.face.endNm))
    .map((face) => ({ fromNm: Math.max(face.fromNm, fromNm), toNm: Math.min(face.toNm, toNm) }))
    .filter((span) => span.toNm > span.fromNm);
}

/** The rooms on the sides of a wall. */
export const roomsAlong = ({ wall, storey }: StandingWall): Room[] => roomsBeside(storey, wall).map(({ room }) => room);
