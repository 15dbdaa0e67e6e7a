import { type OpenPoint, type Part, type PartContext, type StudWall, type WallOnPlan, walkPoint } from "../parts";
import { formatArea, formatLength, millimetres, type Nanometres } from "../units";
import { openingsIn } from "./openings";
import { roomsAlong, type StandingWall, standingWall } from "./resolve";
import type { JobPlan, StoreyPlan } from "./storeyPlan";

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
  return plan.overlaps.map(({ a, b, area }) => ({
    partId: b.id,
    partName: b.name,
    point: {
      path: `overlap/${a.id}`,
      kind: "conflict",
      message: `${b.name} lies over ${a.name} by ${formatArea(area, system)}. Move one of them on the plan`,
    },
  }));
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
    if (part.kind !== "stud-wall" || !part.plan) return [];
    const standing = standingWall(part, plan);
    const point = standing ? slopePoint(part, standing) : noLengthPoint(part, part.plan, plan, context);
    return point ? [{ partId: part.id, partName: part.name, point }] : [];
  });
}

function slopePoint(wall: StudWall, standing: StandingWall): OpenPoint | undefined {
  const sloped = roomsAlong(standing).find((room) => room.ceiling.shape.value !== "level");
  if (!sloped || !wall.height.assumed) return undefined;
  const message = `The ceiling of ${sloped.name} slopes; ${wall.name} is framed level, at its lowest height`;
  return { path: "height", kind: "assumed", message };
}

function noLengthPoint(wall: StudWall, { roomId }: WallOnPlan, plan: JobPlan, context: PartContext): OpenPoint {
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
