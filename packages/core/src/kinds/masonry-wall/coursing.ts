import { coursesNm } from "../../parts/masonryUnit";
import type { OpenPoint, PartContext } from "../../parts/partKind";
import { formatLength, millimetres, type Nanometres } from "../../units";
import { headNm } from "../../wall/openings";
import { type LeafPlan, leavesOf } from "./leaves";
import type { MasonryWall } from "./schema";
import { choicesOf } from "./slot";

/** What joints take up over a wall's height without anybody seeing it (common practice). */
export const COURSING_TOLERANCE_NM = millimetres(3);

/** The whole courses on both sides of a height, and how far it is from the nearer. */
export function nearestCourses({ unit, bedNm }: Pick<LeafPlan, "unit" | "bedNm">, heightNm: Nanometres) {
  const about = heightNm / coursesNm(unit, bedNm, 1);
  let below = Math.max(0, Math.floor(about) - 1);
  while (coursesNm(unit, bedNm, below + 1) <= heightNm) below += 1;
  const [belowNm, aboveNm] = [coursesNm(unit, bedNm, below), coursesNm(unit, bedNm, below + 1)];
  return { below, belowNm, aboveNm, offNm: Math.min(heightNm - belowNm, aboveNm - heightNm) };
}

/** Heights of the wall and its openings that miss a course of the outer leaf: where the courses are, and what is cut. */
export function coursingPoints(wall: MasonryWall, context: PartContext): OpenPoint[] {
  const { firstCourse, buildUp } = choicesOf(wall, context.system);
  const [outer] = leavesOf(wall, context);
  if (!outer || buildUp === "stone" || wall.length.valueNm === null) return [];
  const say = (nm: Nanometres) => formatLength(nm, context.system);
  const miss = (path: string, what: string, atNm: Nanometres, cut: (belowNm: Nanometres) => string): OpenPoint[] => {
    const heightNm = atNm - firstCourse;
    if (heightNm <= 0) return [];
    const { belowNm, aboveNm, offNm } = nearestCourses(outer, heightNm);
    if (offNm <= COURSING_TOLERANCE_NM) return [];
    const message = `${what} at ${say(atNm)} is ${say(offNm)} off a course: the nearest are ${say(belowNm + firstCourse)} and ${say(aboveNm + firstCourse)}. ${cut(heightNm - belowNm)}`;
    return [{ path, kind: "assumed", message }];
  };
  const unitsCut = (restNm: Nanometres) => {
    const leftNm = restNm - outer.bedNm;
    return leftNm > 0 ? `Units are cut to ${say(leftNm)} there` : "The joint there is thicker";
  };
  const top =
    wall.shape.how === "level" && wall.height.valueNm !== null
      ? miss("height", "The top", wall.height.valueNm, unitsCut)
      : [];
  return [
    ...top,
    ...wall.openings.flatMap((opening) => [
      ...miss(`openings.${opening.id}.sill`, `${opening.name}: its sill`, opening.sill.valueNm ?? 0, unitsCut),
      ...miss(`openings.${opening.id}.height`, `${opening.name}: its head`, headNm(opening), unitsCut),
    ]),
  ];
}
