import type { StripPiece } from "../../../drawing/piece";
import { coursesNm } from "../../../parts/masonryUnit";
import { millimetres, type Nanometres } from "../../../units";
import { fromLeft, headNm, openingLeft, openingRectangle, openingRight } from "../../../wall/openings";
import { heightAt, highestOf, profileOf } from "../../../wall/profile";
import type { LeafPlan } from "../leaves";
import type { MasonryChoices } from "../parameters";
import type { MasonryWall } from "../schema";

/** Drawn this thick. */
const THIN_NM = millimetres(8);

type Strip = { readonly role: string; readonly id: string; readonly itemId: string };

const lying = (strip: Strip, fromNm: Nanometres, toNm: Nanometres, yNm: Nanometres): StripPiece => ({
  ...strip,
  lengthNm: toNm - fromNm,
  xNm: fromNm,
  yNm,
  widthNm: toNm - fromNm,
  heightNm: THIN_NM,
});

const standing = (strip: Strip, xNm: Nanometres, fromNm: Nanometres, toNm: Nanometres): StripPiece => ({
  ...strip,
  lengthNm: toNm - fromNm,
  xNm,
  yNm: fromNm,
  widthNm: THIN_NM,
  heightNm: toNm - fromNm,
});

/** Along the foot of each leaf, past doors. */
export function dampCoursesOf(wall: MasonryWall, leaves: readonly LeafPlan[]): StripPiece[] {
  const doors = fromLeft(wall).filter((opening) => (opening.sill.valueNm ?? 0) === 0);
  return leaves.flatMap((leaf) => {
    const edges = [leaf.fromNm, ...doors.flatMap((door) => [openingLeft(door), openingRight(door)]), leaf.toNm];
    const pieces: StripPiece[] = [];
    for (let index = 0; index + 1 < edges.length; index += 2) {
      const [fromNm = 0, toNm = 0] = [edges[index], edges[index + 1]];
      const id = `damp-course-${leaf.leaf}-${index / 2 + 1}`;
      if (toNm > fromNm) pieces.push(lying({ role: "damp-course", id, itemId: leaf.unit.id }, fromNm, toNm, 0));
    }
    return pieces;
  });
}

/** Closers up both sides of each opening of a cavity wall, and under a window. */
export const closersOf = (wall: MasonryWall): StripPiece[] =>
  wall.openings.flatMap((opening) => {
    const [leftNm, rightNm] = [openingLeft(opening), openingRight(opening)];
    const sillNm = opening.sill.valueNm ?? 0;
    const strip = (where: string): Strip => ({
      role: "cavity-closer",
      id: `closer-${opening.id}-${where}`,
      itemId: "closer",
    });
    const jambs = [
      standing(strip("left"), leftNm - THIN_NM, sillNm, headNm(opening)),
      standing(strip("right"), rightNm, sillNm, headNm(opening)),
    ];
    return sillNm > 0 ? [...jambs, lying(strip("sill"), leftNm, rightNm, sillNm - THIN_NM)] : jambs;
  });

/** Bed reinforcement in every so manyth bed of each leaf, past openings. */
export function reinforcementOf(
  wall: MasonryWall,
  leaves: readonly LeafPlan[],
  { reinforceEvery, firstCourse }: MasonryChoices,
): StripPiece[] {
  if (reinforceEvery === 0) return [];
  const profile = profileOf(wall);
  const holes = wall.openings.map(openingRectangle);
  return leaves.flatMap((leaf) => {
    const pieces: StripPiece[] = [];
    for (let course = reinforceEvery; ; course += reinforceEvery) {
      const yNm = firstCourse + coursesNm(leaf.unit, leaf.bedNm, course);
      if (yNm >= highestOf(profile)) return pieces;
      const crossed = holes
        .filter((hole) => yNm > hole.yNm && yNm < hole.yNm + hole.heightNm)
        .toSorted((a, b) => a.xNm - b.xNm);
      const edges = [leaf.fromNm, ...crossed.flatMap((hole) => [hole.xNm, hole.xNm + hole.widthNm]), leaf.toNm];
      for (let index = 0; index + 1 < edges.length; index += 2) {
        const [fromNm = 0, toNm = 0] = [edges[index], edges[index + 1]];
        const id = `bed-reinforcement-${leaf.leaf}-${course}-${index / 2 + 1}`;
        const under = Math.max(heightAt(profile, Math.max(0, fromNm)), heightAt(profile, toNm)) > yNm;
        if (toNm > fromNm && under)
          pieces.push(lying({ role: "bed-reinforcement", id, itemId: leaf.unit.id }, fromNm, toNm, yNm));
      }
    }
  });
}

/** Movement joints up the wall where it is longer than goes without one: equal stretches. */
export function movementJointsOf(wall: MasonryWall, { movementEvery }: MasonryChoices): StripPiece[] {
  const lengthNm = wall.length.valueNm ?? 0;
  if (movementEvery === 0 || lengthNm <= movementEvery) return [];
  const profile = profileOf(wall);
  const stretches = Math.ceil(lengthNm / movementEvery);
  return Array.from({ length: stretches - 1 }, (_, index) => {
    const xNm = Math.round((lengthNm * (index + 1)) / stretches);
    const strip = { role: "movement-joint", id: `movement-joint-${index + 1}`, itemId: "movement-joint" };
    return standing(strip, xNm, 0, heightAt(profile, xNm));
  });
}
