import { distance } from "../geometry";
import {
  isWallPart,
  kindOf,
  type OpenPoint,
  type Part,
  type PartContext,
  type WallOnPlan,
  type WallPart,
  walkPoint,
} from "../kinds";
import { formatArea, formatLength, millimetres, type Nanometres } from "../units";
import { beyondOf } from "./newWall";
import { openingsIn } from "./openings";
import { cutThrough, leftOutOf, roomsAlong, type StandingWall, standingWall } from "./standing";
import { type JobPlan, MOST_OVERLAPS, type StoreyPlan } from "./storeyPlan";

/** An open point of the plan, beside the part where it can be settled. */
export type PlanPoint = { readonly partId: string; readonly partName: string; readonly point: OpenPoint };

/** A tape over the outside of a house may differ by so much from the sum of the insides (common practice). */
const CHECK_NM = millimetres(25);

export type OutsideCheck = {
  readonly name: string;
  readonly computedNm: Nanometres;
  readonly readingNm: Nanometres | null;
  /** Reading less computed; nothing without a reading. */
  readonly differenceNm: Nanometres | undefined;
  readonly agrees: boolean;
};

/** The outside of the house as computed, beside what a tape read. */
export function outsideChecks({ footprint, storey }: StoreyPlan): readonly OutsideCheck[] {
  if (!footprint) return [];
  const { min, max } = footprint.bounds;
  const check = (name: string, computedNm: number, readingNm: number | null): OutsideCheck => {
    const differenceNm = readingNm === null ? undefined : readingNm - computedNm;
    return { name, computedNm, readingNm, differenceNm, agrees: Math.abs(differenceNm ?? 0) <= CHECK_NM };
  };
  return [
    check("across the page", max.xNm - min.xNm, storey?.outsideAcross.valueNm ?? null),
    check("up the page", max.yNm - min.yNm, storey?.outsideUp.valueNm ?? null),
  ];
}

function checkPoints(plan: StoreyPlan, { system }: PartContext): PlanPoint[] {
  const { storey } = plan;
  if (!storey) return [];
  const say = (nm: Nanometres) => formatLength(nm, system);
  return outsideChecks(plan)
    .filter((check) => !check.agrees)
    .map(({ name, computedNm, readingNm, differenceNm = 0 }) => ({
      partId: storey.id,
      partName: plan.name,
      point: {
        path: `outside/${name}`,
        kind: "conflict",
        message: `The outside, ${name}: the tape read ${say(readingNm ?? 0)}, the plan comes to ${say(computedNm)}, a difference of ${say(Math.abs(differenceNm))}`,
      },
    }));
}

function overlapPoints(plan: StoreyPlan, { system }: PartContext): PlanPoint[] {
  const last = plan.overlaps[MOST_OVERLAPS - 1];
  const more: PlanPoint[] = last
    ? [
        {
          partId: last.b.id,
          partName: last.b.name,
          point: {
            path: "overlap",
            kind: "conflict",
            message: `${MOST_OVERLAPS} overlaps of rooms on ${plan.name} are listed, and there may be more: move the rooms apart on the plan`,
          },
        },
      ]
    : [];
  const listed = plan.overlaps.map(
    ({ a, b, area }): PlanPoint => ({
      partId: b.id,
      partName: b.name,
      point: {
        path: `overlap/${a.id}`,
        kind: "conflict",
        message: `${b.name} lies over ${a.name} by ${formatArea(area, system)}. Move one of them on the plan`,
      },
    }),
  );
  return [...listed, ...more];
}

function adriftPoints(plan: StoreyPlan): PlanPoint[] {
  return plan.rooms
    .filter((placed) => placed.adrift)
    .map(({ room }) => ({
      partId: room.id,
      partName: room.name,
      point: {
        path: "place",
        kind: "missing",
        message: `${room.name} was joined to a room that is not there. Put it on the plan`,
      },
    }));
}

/** Openings of two rooms in one place of the wall they share: one door typed twice. */
function doublePoints(plan: StoreyPlan): PlanPoint[] {
  return plan.walls.flatMap((wall) => {
    const openings = openingsIn(wall, plan.rooms);
    return openings.flatMap((each, index) =>
      openings
        .slice(index + 1)
        .filter(
          (other) => other.face.roomId !== each.face.roomId && other.fromNm < each.toNm && each.fromNm < other.toNm,
        )
        .map(
          (other): PlanPoint => ({
            partId: other.face.roomId,
            partName: other.roomName,
            point: {
              path: `openings.${other.opening.id}.position`,
              kind: "conflict",
              message: `${other.opening.name} is where ${each.opening.name} of ${each.roomName} is. Take one out: a shared wall's opening is typed once`,
            },
          }),
        ),
    );
  });
}

/** Stud walls that the plan gives no length, or whose height it does not know in full. */
function wallPoints(parts: readonly Part[], plan: JobPlan, context: PartContext): PlanPoint[] {
  return parts.flatMap((part): PlanPoint[] => {
    if (!isWallPart(part) || !part.plan) return [];
    const standing = standingWall(part, plan);
    const points = standing
      ? [
          slopePoint(part, standing),
          ...leftOutPoints(part, standing, plan, context),
          kindOf(part).besideWhatLies?.(part, beyondOf(standing)),
        ]
      : [noLengthPoint(part, part.plan, plan, context)];
    return points.flatMap((point) => (point ? [{ partId: part.id, partName: part.name, point }] : []));
  });
}

/** Stretches past a recess or bump, and openings that a stretch cuts through: nothing of them is counted by this wall. */
function leftOutPoints(wall: WallPart, standing: StandingWall, plan: JobPlan, { system }: PartContext): OpenPoint[] {
  const { faces, openings } = leftOutOf(wall, standing, plan);
  const built = new Set(faces.length > 0 ? builtBeside(wall, plan) : []);
  const lacking = faces.filter(({ face }) => !built.has(face.id));
  const lengthNm = lacking.reduce((sum, { from, to }) => sum + distance(from, to), 0);
  const doors = openings.filter(({ face }) => !built.has(face.face.id)).map(({ opening }) => opening.name);
  const withDoors = doors.length > 0 ? ` with ${doors.join(", ")}` : "";
  const beyond = `${wall.name} goes on past a recess or bump: ${formatLength(Math.round(lengthNm), system)} of it${withDoors} is not built by this wall. Build that stretch from its room`;
  return [
    ...(lacking.length > 0 ? [{ path: "plan.hostId", kind: "conflict" as const, message: beyond }] : []),
    ...cutThrough(standing).map(({ opening }): OpenPoint => {
      const message = `${opening.name} lies across the end of ${wall.name}: it is not framed in it. Move the end of the stretch`;
      return { path: `plan.cut.${opening.id}`, kind: "conflict", message };
    }),
  ];
}

/** Faces of the same room that other stud walls of the job build. */
const builtBeside = (wall: WallPart, plan: JobPlan): readonly string[] =>
  plan.walls.flatMap((other) => {
    const beside = other.id !== wall.id && other.plan?.roomId === wall.plan?.roomId;
    const standing = beside ? standingWall(other, plan) : undefined;
    return standing
      ? standing.wall.faces.filter((face) => face.roomId === wall.plan?.roomId).map(({ face }) => face.id)
      : [];
  });

function slopePoint(wall: WallPart, standing: StandingWall): OpenPoint | undefined {
  const sloped = roomsAlong(standing).find(
    ({ ceiling }) =>
      ceiling.shape.value !== "level" && ceiling.pitchDegrees === null && ceiling.highHeight.valueNm === null,
  );
  if (!sloped || !wall.height.assumed) return undefined;
  const message = `The ceiling of ${sloped.name} slopes, nobody has said how much; ${wall.name} is framed level, at its lowest height`;
  return { path: "height", kind: "assumed", message };
}

function noLengthPoint(wall: WallPart, { roomId }: WallOnPlan, plan: JobPlan, context: PartContext): OpenPoint {
  const placed = plan.storeys.flatMap((storey) => storey.rooms).find(({ room }) => room.id === roomId);
  const walk = placed && walkPoint(placed.room, placed.outline, context);
  const why = placed ? (walk?.message ?? "its stretch of the wall is not measured") : "its room is in the bin";
  return { path: "length", kind: "missing", message: `${wall.name} has no length from the plan: ${why}` };
}

/** What the plan shows to be missing or at odds, beyond what each part says of itself. */
export const planPoints = (parts: readonly Part[], plan: JobPlan, context: PartContext): readonly PlanPoint[] => [
  ...plan.storeys.flatMap((storey) => [
    ...overlapPoints(storey, context),
    ...adriftPoints(storey),
    ...doublePoints(storey),
    ...checkPoints(storey, context),
  ]),
  ...wallPoints(parts, plan, context),
];
