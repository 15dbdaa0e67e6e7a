import type { PartContext } from "../../parts/partKind";
import { type Problem, problem } from "../../problems/problem";
import { ownValue } from "../../records/ownValue";
import { formatLength, millimetres, type Nanometres } from "../../units";
import { fromLeft, headNm, openingLeft, openingRight } from "../../wall/openings";
import { duplicateIds, extentProblems, openingSizeProblems, shapeProblems } from "../../wall/problems";
import { lowestUnderside, profileOf } from "../../wall/profile";
import { openingAreaProblems } from "./openingArea";
import type { MasonryWall } from "./schema";
import { type Built, choicesOf } from "./slot";

/** No wall is lower, and no pier of masonry between two openings narrower. */
const LEAST_NM = millimetres(50);

/** What a wall or a pier cannot be built of as chosen. */
export function unitProblems(built: Built, { units, system }: PartContext): Problem[] {
  const { buildUp, unit, innerUnit, stoneThickness, stoneFaces, cavity, insulation } = choicesOf(built, system);
  const say = (nm: Nanometres) => formatLength(nm, system);
  const wanted =
    buildUp === "cavity"
      ? ([
          ["unit", unit],
          ["innerUnit", innerUnit],
        ] as const)
      : ([["unit", unit]] as const);
  const missing = wanted.flatMap(([name, id]) => {
    const found = ownValue(units, id);
    if (found?.system === system) return [];
    const what = found
      ? `“${found.name}” is of the other measuring system.`
      : `There is no masonry unit “${id}” in the library.`;
    return [problem("unknown-unit", `choices.${name}`, what)];
  });
  if (missing.length > 0) return missing;
  if (buildUp === "stone" && stoneThickness > 0) {
    const leastNm = stoneFaces * (ownValue(units, unit)?.thicknessNm ?? 0);
    if (stoneThickness < leastNm) {
      const faces = stoneFaces === 2 ? "two faces of stone are" : "the stone is";
      const message = `The wall is ${say(stoneThickness)} from face to face, and ${faces} ${say(leastNm)}.`;
      return [problem("stone-wider-than-wall", "choices.stoneThickness", message)];
    }
  }
  if (buildUp === "cavity" && insulation > cavity) {
    const message = `Insulation of ${say(insulation)} does not go into a cavity of ${say(cavity)}.`;
    return [problem("insulation-wider-than-cavity", "choices.insulation", message)];
  }
  return [];
}

/** Everything that keeps this wall from being built as measured, each beside its field. */
export function masonryWallProblems(wall: MasonryWall, context: PartContext): readonly Problem[] {
  const extent = [...extentProblems(wall, context.system), ...unitProblems(wall, context)];
  if (extent.length > 0) return extent;
  const own = [...leastProblem(wall, context), ...shapeProblems(wall, LEAST_NM, context.system)];
  if (own.length > 0) return own;
  const sizes = wall.openings.flatMap(openingSizeProblems);
  if (sizes.length > 0) return sizes;
  return [...duplicateIds(wall), ...placeProblems(wall, context), ...openingAreaProblems(wall, context)];
}

function leastProblem({ height, length }: MasonryWall, { system }: PartContext): Problem[] {
  const low = (height.valueNm ?? 0) < LEAST_NM;
  const short = length.valueNm !== null && length.valueNm < LEAST_NM;
  const say = formatLength(LEAST_NM, system);
  return [
    ...(low ? [problem("too-low", "height", `A wall is at least ${say} high.`)] : []),
    ...(short ? [problem("too-short", "length", `A wall is at least ${say} long.`)] : []),
  ];
}

/** Within the wall, under its top, and clear of each other. */
function placeProblems(wall: MasonryWall, { system }: PartContext): Problem[] {
  const say = (nm: Nanometres) => formatLength(nm, system);
  const lengthNm = wall.length.valueNm ?? 0;
  const profile = profileOf(wall);
  const openings = fromLeft(wall);
  return openings.flatMap((opening, index): Problem[] => {
    const at = (field: string) => `openings.${opening.id}.${field}`;
    const [leftNm, rightNm] = [openingLeft(opening), openingRight(opening)];
    if (opening.kind === "door" && (opening.sill.valueNm ?? 0) > 0) {
      return [problem("door-with-sill", at("sill"), `${opening.name}: a door stands on the floor.`)];
    }
    if (rightNm - leftNm > lengthNm) {
      const message = `${opening.name} is ${say(rightNm - leftNm)} wide; the wall is ${say(lengthNm)} long.`;
      return [problem("opening-too-wide", at("width"), message)];
    }
    if (rightNm > lengthNm) {
      const message = `${opening.name} would end ${say(rightNm - lengthNm)} past the right end of the wall.`;
      return [problem("opening-past-end", at("position"), message)];
    }
    const topNm = lowestUnderside(profile, leftNm, rightNm, 0);
    if (headNm(opening) > topNm) {
      const message = `${opening.name}: its head at ${say(headNm(opening))} is above the top of the wall there, ${say(topNm)}.`;
      return [problem("head-above-top", at("height"), message)];
    }
    const before = openings[index - 1];
    if (before && leftNm < openingRight(before)) {
      const message = `${opening.name} overlaps ${before.name} by ${say(openingRight(before) - leftNm)}.`;
      return [problem("openings-overlap", at("position"), message)];
    }
    return [];
  });
}
