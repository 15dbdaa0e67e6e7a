import {
  isFaceOf,
  isWallPart,
  lengthPathOf,
  measured,
  type Opening,
  type Part,
  type Room,
  type RoomOpening,
  unmeasured,
  type WallEnd,
  type WallOnPlan,
  type WallPart,
} from "../kinds";
import type { Nanometres } from "../units";
import { openingsIn, type PlanOpening, stretchOn } from "./openings";
import type { PlacedFace } from "./place";
import type { JobPlan, StoreyPlan } from "./storeyPlan";
import { topUnderCeilings } from "./topUnder";
import type { PlanWall } from "./walls";

/** A stud wall where it stands on the plan. */
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

/** Every wall of the plan along what a stud wall names: several where a recess or bump lies between. */
function wallsNamed({ roomId, hostId }: WallOnPlan, plan: JobPlan): OfPlan[] {
  return plan.storeys.flatMap((storey) =>
    storey.walls.flatMap((wall) => {
      const faces = wall.faces.filter((face) => face.roomId === roomId && isFaceOf(face.face, hostId));
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
  const room = storey.rooms.find((each) => each.room.id === onPlan.roomId);
  if (!face || !span || !room) return undefined;
  const along = face.heading.x * wall.direction.x + face.heading.y * wall.direction.y > 0;
  return { wall, storey, ...span, leftIsFrom: along === room.outline.clockwise };
}

/** What a stud wall names and does not build: other stretches of a run past a recess or bump, with the openings in them. */
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

const OPENING_KINDS: Record<RoomOpening["kind"], Opening["kind"]> = {
  door: "door",
  window: "window",
  plain: "plain",
  // Framed square; the curve is made up within it.
  arch: "plain",
};

function wallOpening({ opening, fromNm, toNm }: PlanOpening, standing: StandingWall): Opening {
  const positionNm = standing.leftIsFrom ? fromNm - standing.fromNm : standing.toNm - toNm;
  const { id, name, measuredAs, width, height, sill } = opening;
  const position = { valueNm: positionNm, typed: "", assumed: opening.position.assumed };
  return { id, kind: OPENING_KINDS[opening.kind], name, measuredAs, width, height, sill, along: "from-left", position };
}

/** The openings that lie in the stretch, each once: where two rooms typed one in the same place, the first stands. */
function openingsOf(standing: StandingWall): Opening[] {
  const within = openingsIn(standing.wall, standing.storey.rooms).filter(
    (each) => each.fromNm >= standing.fromNm && each.toNm <= standing.toNm,
  );
  const kept = within.filter(
    (each, index) => !within.slice(0, index).some((other) => other.fromNm < each.toNm && each.fromNm < other.toNm),
  );
  return kept.map((each) => wallOpening(each, standing));
}

/** The rooms on the sides of a wall. */
export const roomsAlong = ({ wall, storey }: StandingWall): Room[] =>
  storey.rooms.filter(({ room }) => wall.faces.some((face) => face.roomId === room.id)).map(({ room }) => room);

/** Up to the ceiling: the highest of the rooms on both sides. The wall's own figure counts once somebody has measured it. */
function heightOf(wallPart: WallPart, standing: StandingWall): WallPart["height"] {
  if (!wallPart.height.assumed) return wallPart.height;
  const heights = roomsAlong(standing).map((room) => room.ceiling.height);
  const highest = heights.reduce<WallPart["height"] | undefined>(
    (best, next) => ((next.valueNm ?? 0) > (best?.valueNm ?? 0) ? next : best),
    undefined,
  );
  return highest?.valueNm ? { valueNm: highest.valueNm, typed: "", assumed: highest.assumed } : wallPart.height;
}

/** Which of the room's figures the wall's length is read as. */
function lengthFrom({ roomId, hostId }: WallOnPlan, { wall }: StandingWall): Pick<WallOnPlan, "lengthPath"> {
  const found = wall.faces.find((face) => face.roomId === roomId && isFaceOf(face.face, hostId));
  return found ? { lengthPath: lengthPathOf(found.face) } : {};
}

/** Its own where somebody has said what it is; else as the ceilings along it run. */
function topOf(
  wallPart: WallPart,
  plan: WallOnPlan,
  standing: StandingWall,
): Pick<WallPart, "height" | "shape" | "plan"> {
  const height = heightOf(wallPart, standing);
  const known = { ...lengthFrom(plan, standing), heightFollows: height !== wallPart.height, underCeiling: false };
  const own = { height, shape: wallPart.shape, plan: { ...plan, ...known } };
  if (!wallPart.height.assumed || wallPart.shape.how !== "level") return own;
  const top = topUnderCeilings(standing, standing.storey.rooms);
  return top ? { ...top, plan: { ...own.plan, heightFollows: true, underCeiling: true } } : own;
}

function endsOf({ wall, fromNm, toNm, leftIsFrom }: StandingWall): WallPart["ends"] {
  const from: WallEnd = fromNm === wall.framedFromNm ? wall.start : "meets";
  const to: WallEnd = toNm === wall.framedToNm ? wall.end : "meets";
  return leftIsFrom ? { left: from, right: to } : { left: to, right: from };
}

function meetingsOf(standing: StandingWall): WallPart["meetings"] {
  const { wall, storey, fromNm, toNm, leftIsFrom } = standing;
  const names = (index: number) => {
    const ids = new Set(storey.walls[index]?.faces.map((face) => face.roomId));
    return storey.rooms
      .filter(({ room }) => ids.has(room.id))
      .map(({ room }) => room.name)
      .join(" and ")
      .slice(0, 160);
  };
  return wall.meetings
    .filter((meeting) => meeting.atNm > fromNm && meeting.atNm < toNm)
    .map((meeting) => ({
      positionNm: leftIsFrom ? meeting.atNm - fromNm : toNm - meeting.atNm,
      thicknessNm: meeting.thicknessNm,
      withName: names(meeting.wall),
    }))
    .toSorted((a, b) => a.positionNm - b.positionNm);
}

/** A stud wall with the figures that the plan gives it. A lone wall stays as it is. */
export function resolveWall(wallPart: WallPart, plan: JobPlan): WallPart {
  if (!wallPart.plan) return wallPart;
  const standing = standingWall(wallPart, plan);
  if (!standing) return { ...wallPart, length: unmeasured, openings: [], meetings: [] };
  const lengthNm = Math.max(0, standing.toNm - standing.fromNm);
  return {
    ...wallPart,
    storey: standing.storey.name,
    length: lengthNm > 0 ? measured(lengthNm, "") : unmeasured,
    ...topOf(wallPart, wallPart.plan, standing),
    openings: openingsOf(standing),
    ends: endsOf(standing),
    meetings: meetingsOf(standing),
  };
}

/** Every part with what the plan knows of it put in. Parts that take nothing from the plan are the same objects. */
export const resolveParts = (parts: readonly Part[], plan: JobPlan): readonly Part[] =>
  parts.map((part) => (isWallPart(part) ? resolveWall(part, plan) : part));
