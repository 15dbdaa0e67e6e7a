import type { Room } from "../kinds";
import { metres, millimetres, type Nanometres } from "../units";
import type { JobPlan, StoreyPlan } from "./storeyPlan";

/** How high a storey's floor is over that of the lowest storey at or above the ground, and how the height to the next is known. */
export type StoreyLevel = {
  readonly floorNm: Nanometres;
  /** Between the ceiling below and this floor. */
  readonly buildUpNm: Nanometres;
  readonly toNextNm: Nanometres;
  readonly by: "measured" | "rooms" | "usual";
};

/** Joists, boards and a ceiling; where nobody has measured (common practice). */
const USUAL_BUILD_UP_NM = millimetres(300);
const USUAL_STOREY_NM = metres(3);

const buildUpOf = (storey: StoreyPlan | undefined): Nanometres =>
  storey?.storey?.floorBuildUp.valueNm ?? USUAL_BUILD_UP_NM;

/** Of a room whose ceiling is level; a slope says nothing of the floor above it. */
export const ceilingOf = ({ ceiling }: Room): Nanometres[] =>
  ceiling.shape.value === "level" && ceiling.height.valueNm !== null ? [ceiling.height.valueNm] : [];

/** From a storey's floor to the one above: as measured, or its highest ceiling or wall and the floor over that. */
function toNext(
  storey: StoreyPlan,
  above: StoreyPlan | undefined,
  plan: JobPlan,
): Pick<StoreyLevel, "toNextNm" | "by"> {
  const measured = storey.storey?.floorToFloor.valueNm ?? null;
  if (measured !== null) return { toNextNm: measured, by: "measured" };
  const ceilings = storey.rooms.flatMap(({ room }) => ceilingOf(room));
  const walls = plan.walls.flatMap((wall) => (wall.storey === storey.name ? (wall.height.valueNm ?? []) : []));
  const heights = ceilings.length > 0 ? ceilings : walls;
  if (heights.length === 0) return USUAL;
  return { toNextNm: Math.max(...heights) + buildUpOf(above), by: "rooms" };
}

/** Storeys whose records give them one level stand on one floor; one without a record stands on those before it. */
function floorsOf(storeys: readonly StoreyPlan[]): StoreyPlan[][] {
  const floors: StoreyPlan[][] = [];
  for (const storey of storeys) {
    const level = storey.storey?.level;
    const same = floors.find(([first]) => level !== undefined && first?.storey?.level === level);
    if (same) same.push(storey);
    else floors.push([storey]);
  }
  return floors;
}

/** The floor levels of the house, from the lowest storey that is not below ground. By the names of the storeys. */
export function storeyLevels(plan: JobPlan): ReadonlyMap<string, StoreyLevel> {
  const floors = floorsOf(plan.storeys);
  const heights = floors.map((floor, index) => {
    const own = floor.map((storey) => toNext(storey, floors[index + 1]?.[0], plan));
    return own.find((each) => each.by === "measured") ?? highest(own);
  });
  const ground = Math.max(
    0,
    floors.findIndex(([first]) => (first?.storey?.level ?? 0) >= 0),
  );
  const belowGround = heights.slice(0, ground).reduce((sum, each) => sum + each.toNextNm, 0);
  let floorNm = 0 - belowGround;
  const levels = new Map<string, StoreyLevel>();
  for (const [index, floor] of floors.entries()) {
    const height = heights[index] ?? USUAL;
    for (const storey of floor) levels.set(storey.name, { floorNm, buildUpNm: buildUpOf(storey), ...height });
    floorNm += height.toNextNm;
  }
  return levels;
}

const USUAL: Height = { toNextNm: USUAL_STOREY_NM, by: "usual" };

type Height = Pick<StoreyLevel, "toNextNm" | "by">;

/** What rooms or walls say goes before what is only usual. */
function highest(heights: readonly Height[]): Height {
  const known = heights.filter((each) => each.by === "rooms");
  const among = known.length > 0 ? known : heights;
  return among.reduce((most, each) => (each.toNextNm > most.toNextNm ? each : most), among[0] ?? USUAL);
}
