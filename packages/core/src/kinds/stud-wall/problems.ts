import type { Opening } from "../../parts/opening";
import type { PartContext } from "../../parts/partKind";
import { type Problem, problem } from "../../problems/problem";
import { ownValue } from "../../records/ownValue";
import { formatLength, type Nanometres } from "../../units";
import { fromLeft, headNm, openingLeft, openingRight } from "../../wall/openings";
import { duplicateIds, extentProblems, openingSizeProblems, shapeProblems } from "../../wall/problems";
import { highestHeadNm, jambStuds, studThicknessNm } from "./fit";
import type { StudWall } from "./schema";
import { framingOf } from "./slot";

/** Everything that keeps this wall from being built as measured, each beside its field. */
export function studWallProblems(wall: StudWall, context: PartContext): readonly Problem[] {
  const { studSize, bottomPlates } = framingOf(wall, context.system);
  if (!ownValue(context.sections, studSize)) {
    return [problem("unknown-section", "choices.studSize", `There is no stud size “${studSize}” in the library.`)];
  }
  const extent = extentProblems(wall, context.system);
  if (extent.length > 0) return extent;
  const leastNm = (bottomPlates + 2) * studThicknessNm(wall, context);
  const ownProblems = [...leastProblems(wall, context), ...shapeProblems(wall, leastNm, context.system)];
  if (ownProblems.length > 0) return ownProblems;
  const sizes = wall.openings.flatMap(openingSizeProblems);
  if (sizes.length > 0) return sizes;
  return [
    ...duplicateIds(wall),
    ...wall.openings.flatMap((opening) => verticalProblems(wall, opening, context)),
    ...wall.openings.flatMap((opening) => widthProblems(wall, opening, context)),
    ...neighbourProblems(wall, context),
  ];
}

/** A stud at each end, and room between the plates. */
function leastProblems(wall: StudWall, context: PartContext): Problem[] {
  const say = (nm: Nanometres) => formatLength(nm, context.system);
  const thicknessNm = studThicknessNm(wall, context);
  const { bottomPlates, topPlates } = framingOf(wall, context.system);
  const platesNm = (bottomPlates + topPlates) * thicknessNm;
  const found: Problem[] = [];
  if (wall.length.valueNm !== null && wall.length.valueNm < 2 * thicknessNm) {
    const message = `A wall has a stud at each end, so it is at least ${say(2 * thicknessNm)} long.`;
    found.push(problem("too-short", "length", message));
  }
  if ((wall.height.valueNm ?? 0) <= platesNm) {
    found.push(problem("too-low", "height", `The plates alone are ${say(platesNm)}. The wall must be higher.`));
  }
  return found;
}

function verticalProblems(wall: StudWall, opening: Opening, context: PartContext): Problem[] {
  const say = (nm: Nanometres) => formatLength(nm, context.system);
  const undersideNm = highestHeadNm(wall, opening, context);
  const sillNm = opening.sill.valueNm ?? 0;
  if (opening.kind === "door" && sillNm > 0) {
    return [problem("door-with-sill", `openings.${opening.id}.sill`, `${opening.name}: a door stands on the floor.`)];
  }
  if (sillNm >= undersideNm) {
    const message = `${opening.name}: a sill at ${say(sillNm)} is above the highest head, ${say(undersideNm)}.`;
    return [problem("sill-above-head", `openings.${opening.id}.sill`, message)];
  }
  const platesNm = framingOf(wall, context.system).bottomPlates * studThicknessNm(wall, context);
  const leastSillNm = platesNm + studThicknessNm(wall, context);
  if (sillNm > 0 && sillNm < leastSillNm) {
    const message = `${opening.name}: a sill is at least ${say(leastSillNm)} up, on the bottom plate. Use 0 for none.`;
    return [problem("sill-in-plate", `openings.${opening.id}.sill`, message)];
  }
  if (headNm(opening) > undersideNm) {
    const message = `${opening.name}: its head at ${say(headNm(opening))} is above the underside of the top plates, ${say(undersideNm)}.`;
    return [problem("head-above-plate", `openings.${opening.id}.height`, message)];
  }
  return [];
}

function widthProblems(wall: StudWall, opening: Opening, context: PartContext): Problem[] {
  const lengthNm = wall.length.valueNm ?? 0;
  const say = (nm: Nanometres) => formatLength(nm, context.system);
  const widthNm = opening.width.valueNm ?? 0;
  if (widthNm > lengthNm) {
    const message = `${opening.name} is ${say(widthNm)} wide; the wall is ${say(lengthNm)} long.`;
    return [problem("opening-too-wide", `openings.${opening.id}.width`, message)];
  }
  const jambNm = jambStuds(framingOf(wall, context.system), opening) * studThicknessNm(wall, context);
  if (openingRight(opening) > lengthNm) {
    const message = `${opening.name} would end ${say(openingRight(opening) - lengthNm)} past the right end of the wall.`;
    return [problem("opening-past-end", `openings.${opening.id}.position`, message)];
  }
  const spareNm = Math.min(openingLeft(opening), lengthNm - openingRight(opening));
  if (spareNm < jambNm) {
    const message = `${opening.name} is ${say(spareNm)} from the end; the end and jack studs need ${say(jambNm)}.`;
    return [problem("no-room-for-studs", `openings.${opening.id}.position`, message)];
  }
  return [];
}

function neighbourProblems(wall: StudWall, context: PartContext): Problem[] {
  const say = (nm: Nanometres) => formatLength(nm, context.system);
  const openings = fromLeft(wall);
  return openings.flatMap((opening, index) => {
    const before = openings[index - 1];
    if (!before) return [];
    const path = `openings.${opening.id}.position`;
    const gapNm = openingLeft(opening) - openingRight(before);
    if (gapNm < 0)
      return [problem("openings-overlap", path, `${opening.name} overlaps ${before.name} by ${say(-gapNm)}.`)];
    const framing = framingOf(wall, context.system);
    // One set of kings serves both.
    const studs = jambStuds(framing, before) + jambStuds(framing, opening) - framing.kingsPerSide;
    const leastNm = studs * studThicknessNm(wall, context);
    if (gapNm >= leastNm) return [];
    const message = `${before.name} and ${opening.name} are ${say(gapNm)} apart; the studs between them need ${say(leastNm)}.`;
    return [problem("no-room-for-studs", path, message)];
  });
}
