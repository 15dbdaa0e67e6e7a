import { coursesNm, type MasonryUnit } from "../../parts/masonryUnit";
import type { Nanometres } from "../../units";

export type PierUnit = { readonly unit: MasonryUnit; readonly bedNm: Nanometres; readonly perpendNm: Nanometres };

/** Joints take up as much over a side. */
const NEAR = 0.02;

/** How often a module goes into a side, in halves: a side may be given with its last joint or without. */
function modulesIn(sideNm: Nanometres, moduleNm: Nanometres, jointNm: Nanometres): number {
  const halves = [sideNm, sideNm + jointNm].map((nm) => (2 * nm) / moduleNm);
  const whole = halves.find((each) => Math.abs(each - Math.round(each)) <= NEAR);
  return (whole === undefined ? Math.ceil(halves[0] ?? 0) : Math.round(whole)) / 2;
}

/**
 * Units in one course. Hollow: each side runs from its own corner to the next side, like a pinwheel. Solid: the plan over that
 * of a unit.
 *
 * 32 x 32 in hollow in one leaf of modular brick: four sides of 3 1/2, 14 a course (arithmetic).
 */
export function unitsACourse(lengthNm: Nanometres, widthNm: Nanometres, hollow: boolean, of: PierUnit): number {
  const { unit, perpendNm } = of;
  const moduleNm = unit.lengthNm + perpendNm;
  const deepNm = unit.thicknessNm + perpendNm;
  if (hollow) {
    const side = (nm: Nanometres) => modulesIn(nm - deepNm, moduleNm, perpendNm);
    return Math.ceil(2 * side(lengthNm) + 2 * side(widthNm));
  }
  return Math.ceil(modulesIn(lengthNm, moduleNm, perpendNm) * 2 * modulesIn(widthNm, 2 * deepNm, perpendNm) - NEAR);
}

/** Whole courses up to a height, the last one cut where it does not come out. */
export function coursesUpTo(heightNm: Nanometres, { unit, bedNm }: PierUnit): number {
  let courses = Math.max(0, Math.floor(heightNm / coursesNm(unit, bedNm, 1)) - 1);
  while (coursesNm(unit, bedNm, courses) < heightNm - bedNm) courses += 1;
  return courses;
}
