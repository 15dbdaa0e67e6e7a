import {
  isFaceOf,
  isWallPart,
  lengthPathOf,
  measured,
  type Opening,
  type Part,
  type RoomOpening,
  type StoreyPart,
  type SurfacePart,
  unmeasured,
  type WallEnd,
  type WallOnPlan,
  type WallPart,
} from "../kinds";
import { namesBeside, placedRoom, roomsBeside } from "./byRoom";
import { resolveJoisted } from "./floorOnPlan";
import { openingsIn, type PlanOpening } from "./openings";
import { roofsOf } from "./roofsMeet";
import { resolveWaterproofing } from "./roomBelow";
import { roomsAlong, type StandingWall, standingWall } from "./standing";
import type { JobPlan } from "./storeyPlan";
import { storeyTotals } from "./storeyTotals";
import { surfaceOf } from "./surfaces";
import { topUnderCeilings } from "./topUnder";

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
  const top = topUnderCeilings(standing, roomsBeside(standing.storey, standing.wall));
  return top ? { ...top, plan: { ...own.plan, heightFollows: true, underCeiling: true } } : own;
}

function endsOf({ wall, fromNm, toNm, leftIsFrom }: StandingWall): Pick<WallPart, "ends" | "insideCorners"> {
  const isStart = fromNm === wall.framedFromNm;
  const isEnd = toNm === wall.framedToNm;
  const from: WallEnd = isStart ? wall.start : "meets";
  const to: WallEnd = isEnd ? wall.end : "meets";
  const inside = { from: isStart && wall.insideCorners.start, to: isEnd && wall.insideCorners.end };
  return leftIsFrom
    ? { ends: { left: from, right: to }, insideCorners: { left: inside.from, right: inside.to } }
    : { ends: { left: to, right: from }, insideCorners: { left: inside.to, right: inside.from } };
}

function meetingsOf(standing: StandingWall): WallPart["meetings"] {
  const { wall, storey, fromNm, toNm, leftIsFrom } = standing;
  const names = (index: number) => {
    const other = storey.walls[index];
    return other ? namesBeside(storey, other).slice(0, 160) : "";
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

/** A wall with the figures that the plan gives it. A lone wall stays as it is. */
export function resolveWall<W extends WallPart>(wallPart: W, plan: JobPlan): W {
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
    ...endsOf(standing),
    meetings: meetingsOf(standing),
  };
}

/** A surface of a room as the plan has it, wherever its room stands; without one while its room is not there. */
export function resolveSurface(part: SurfacePart, plan: JobPlan): SurfacePart {
  const storey = plan.storeys.find((each) => placedRoom(each, part.roomId));
  const found = storey && surfaceOf(storey, part.roomId, part.surfaceId);
  return found && storey ? { ...part, storey: storey.name, location: found.roomName, found } : part;
}

/** A storey's record with what its rooms come to. */
export function resolveStorey(part: StoreyPart, plan: JobPlan): StoreyPart {
  const storey = plan.storeys.find((each) => each.name === part.storey);
  const found = storey && storeyTotals(storey, plan);
  return found ? { ...part, found } : part;
}

type OnPlan = { readonly [K in Part["kind"]]?: (part: Extract<Part, { readonly kind: K }>, plan: JobPlan) => Part };

/** What the plan knows of each kind but walls, which are one whatever they are built of. A kind without a line takes nothing from the plan. */
const ON_PLAN: OnPlan = {
  surface: resolveSurface,
  waterproofing: resolveWaterproofing,
  floor: resolveJoisted,
  "flat-roof": resolveJoisted,
  deck: resolveJoisted,
  roof: (roof, plan) => roofsOf(plan).get(roof.id) ?? roof,
  // Nobody asks for what a storey comes to but what is counted on it.
  storey: (storey, plan) => (storey.uses.length > 0 ? resolveStorey(storey, plan) : storey),
};

function resolvePart<P extends Part>(part: P, plan: JobPlan): Part {
  if (isWallPart(part)) return resolveWall(part, plan);
  // The registry is keyed by the literal that `part.kind` is; the compiler cannot follow that through a union.
  const resolve = ON_PLAN[part.kind] as ((part: P, plan: JobPlan) => Part) | undefined;
  return resolve?.(part, plan) ?? part;
}

/** Every part with what the plan knows of it put in. Parts that take nothing from the plan are the same objects. */
export const resolveParts = (parts: readonly Part[], plan: JobPlan): readonly Part[] =>
  parts.map((part) => resolvePart(part, plan));
