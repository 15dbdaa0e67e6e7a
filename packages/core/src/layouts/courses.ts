import { type Profile, slopeOf } from "../kinds";
import { type Nanometres, toMetres } from "../units";

/** More courses than this up a wall is a slip of the figures. */
const MOST_COURSES = 1000;

/** How much of a wall, along its length, is higher than a level. */
function lengthAbove(profile: Profile, levelNm: Nanometres): Nanometres {
  let sum = 0;
  for (const [index, to] of profile.entries()) {
    const from = profile[index - 1];
    if (!from) continue;
    const [lowNm, highNm] = [Math.min(from.yNm, to.yNm), Math.max(from.yNm, to.yNm)];
    if (highNm <= levelNm) continue;
    const slope = Math.abs(slopeOf(from, to));
    sum += lowNm >= levelNm || slope === 0 ? to.xNm - from.xNm : (highNm - levelNm) / slope;
  }
  return sum;
}

/**
 * Area in square metres of a roll laid up a wall in courses: each laps the one below it, and is as long as the wall goes on
 * above that. Undefined where a course would not get any higher than the one below.
 *
 * A level wall 9 ft high takes one course of a 9 ft roll; one 9 ft 1 in high takes two.
 */
export function lappedCourses(profile: Profile, widthNm: Nanometres, lapNm: Nanometres): number | undefined {
  const riseNm = widthNm - lapNm;
  const highestNm = Math.max(...profile.map((point) => point.yNm));
  if (riseNm <= 0 || lapNm < 0 || highestNm / riseNm > MOST_COURSES) return undefined;
  let area = 0;
  for (let course = 0, coveredNm = 0; coveredNm < highestNm; course += 1, coveredNm = course * riseNm + lapNm) {
    area += toMetres(lengthAbove(profile, coveredNm)) * toMetres(widthNm);
  }
  return area;
}
