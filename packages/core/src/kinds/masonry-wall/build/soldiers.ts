import type { CoursePiece } from "../../../drawing/piece";
import { overlaps, type Rectangle } from "../../../geometry/rectangle";
import type { Opening } from "../../../parts/opening";
import { type Problem, problem } from "../../../problems/problem";
import { millimetres } from "../../../units";
import { headNm, openingLeft, openingRight } from "../../../wall/openings";
import { lowestUnderside, profileOf } from "../../../wall/profile";
import type { LeafPlan } from "../leaves";
import type { MasonryChoices } from "../parameters";
import type { MasonryWall } from "../schema";

export type Soldiers = {
  readonly pieces: readonly CoursePiece[];
  /** What they and their bed joint stand in place of. */
  readonly holes: readonly Rectangle[];
  readonly problems: readonly Problem[];
};

const NONE: Soldiers = { pieces: [], holes: [], problems: [] };
/** A joint that is thinner is none. */
const THINNEST_JOINT_NM = millimetres(3);

/** How many stand side by side over an opening, with the joints between and beside them evened out (common practice). */
function standing(widthNm: number, { unit, perpendNm }: LeafPlan) {
  const wanted = Math.max(1, Math.round((widthNm - perpendNm) / (unit.heightNm + perpendNm)));
  const jointWith = (count: number) => Math.floor((widthNm - count * unit.heightNm) / (count + 1));
  const count = jointWith(wanted) >= THINNEST_JOINT_NM ? wanted : wanted - 1;
  return count < 1 ? undefined : { count, jointNm: jointWith(count) };
}

/**
 * A course of whole units standing on end over each opening, as wide as it is and as high as a unit is long. The courses beside it
 * end against it. Where a lintel stands in that place, or the wall is too low for it, that is told and the courses go on.
 */
export function soldiersOf(
  wall: MasonryWall,
  plan: LeafPlan,
  { soldiers, buildUp }: MasonryChoices,
  lintels: readonly Rectangle[],
): Soldiers {
  if (!soldiers || plan.leaf !== "outer" || plan.deep !== 1 || buildUp === "stone") return NONE;
  const each = wall.openings.map((opening) => over(opening, wall, plan, lintels));
  return {
    pieces: each.flatMap(({ pieces }) => pieces),
    holes: each.flatMap(({ holes }) => holes),
    problems: each.flatMap(({ problems }) => problems),
  };
}

function over(opening: Opening, wall: MasonryWall, plan: LeafPlan, lintels: readonly Rectangle[]): Soldiers {
  const { unit, bedNm } = plan;
  const [leftNm, rightNm, footNm] = [openingLeft(opening), openingRight(opening), headNm(opening)];
  const hole = { xNm: leftNm, yNm: footNm, widthNm: rightNm - leftNm, heightNm: bedNm + unit.lengthNm };
  const none = (why: string): Soldiers => {
    const message = `${opening.name} has no soldier course: ${why}`;
    return { ...NONE, problems: [problem("no-soldiers", `openings.${opening.id}.height`, message)] };
  };
  if (lintels.some((lintel) => overlaps(lintel, hole))) {
    return none("its lintel stands there. Choose lintels that do not stand in place of units.");
  }
  if (lowestUnderside(profileOf(wall), leftNm, rightNm, 0) < footNm + hole.heightNm)
    return none("the wall is too low.");
  const found = standing(hole.widthNm, plan);
  if (!found) return none("it is narrower than one unit on end.");
  const { count, jointNm } = found;
  const piece: CoursePiece = {
    id: `soldier-${opening.id}`,
    role: "outer-soldier",
    itemId: unit.id,
    tone: unit.material,
    count,
    unitNm: unit.heightNm,
    jointNm,
    xNm: leftNm + jointNm,
    yNm: footNm + bedNm,
    widthNm: count * unit.heightNm + (count - 1) * jointNm,
    heightNm: unit.lengthNm,
  };
  return { pieces: [piece], holes: [hole], problems: [] };
}
