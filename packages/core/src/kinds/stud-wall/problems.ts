import { type Problem, problem } from "../../problems/problem";
import { ownValue } from "../../records/ownValue";
import { formatLength, metres, type Nanometres } from "../../units";
import type { Dimension } from "../dimension";
import type { PartContext } from "../partKind";
import { fromLeft, headNm, highestHeadNm, jambStuds, openingLeft, openingRight, studThicknessNm } from "./fit";
import type { Opening, StudWall } from "./schema";

const LONGEST_WALL_NM = metres(200);
const HIGHEST_WALL_NM = metres(15);

/** Everything that keeps this wall from being built as measured, each beside its field. */
export function studWallProblems(wall: StudWall, context: PartContext): readonly Problem[] {
  if (!ownValue(context.sections, wall.parameters.studSize.value)) {
    const message = `There is no stud size “${wall.parameters.studSize.value}” in the library.`;
    return [problem("unknown-section", "parameters.studSize.value", message)];
  }
  const ownProblems = [
    ...lengthProblems(wall, context),
    ...heightProblems(wall, context),
    ...shapeProblems(wall, context),
  ];
  if (ownProblems.length > 0) return ownProblems;
  const sizes = wall.openings.flatMap((opening) => sizeProblems(opening, context));
  if (sizes.length > 0) return sizes;
  return [
    ...duplicateIds(wall),
    ...wall.openings.flatMap((opening) => verticalProblems(wall, opening, context)),
    ...wall.openings.flatMap((opening) => widthProblems(wall, opening, context)),
    ...neighbourProblems(wall, context),
  ];
}

function lengthProblems(wall: StudWall, context: PartContext): Problem[] {
  const { valueNm } = wall.length;
  if (valueNm === null) {
    return wall.openings.length === 0 ? [] : [problem("no-length", "length", "Measure the wall before its openings.")];
  }
  const say = (nm: Nanometres) => formatLength(nm, context.system);
  if (valueNm <= 0) return [problem("not-positive", "length", "A wall's length is more than zero.")];
  if (valueNm > LONGEST_WALL_NM) {
    return [problem("too-long", "length", `A wall is at most ${say(LONGEST_WALL_NM)} long. Check the unit.`)];
  }
  const leastNm = 2 * studThicknessNm(wall, context);
  if (valueNm < leastNm) {
    return [problem("too-short", "length", `A wall has a stud at each end, so it is at least ${say(leastNm)} long.`)];
  }
  return [];
}

function heightProblems(wall: StudWall, context: PartContext): Problem[] {
  const { valueNm } = wall.height;
  const say = (nm: Nanometres) => formatLength(nm, context.system);
  if (valueNm === null) return [problem("no-height", "height", "A wall needs a height.")];
  if (valueNm <= 0) return [problem("not-positive", "height", "A wall's height is more than zero.")];
  if (valueNm > HIGHEST_WALL_NM) {
    return [problem("too-high", "height", `A wall is at most ${say(HIGHEST_WALL_NM)} high. Check the unit.`)];
  }
  const { bottomPlates, topPlates } = wall.parameters;
  const platesNm = (bottomPlates.value + topPlates.value) * studThicknessNm(wall, context);
  if (valueNm <= platesNm) {
    return [problem("too-low", "height", `The plates alone are ${say(platesNm)}. The wall must be higher.`)];
  }
  return [];
}

/** The figures of a slope or gable: within the wall, in order, and above the plates. */
function shapeProblems(wall: StudWall, context: PartContext): Problem[] {
  const { shape } = wall;
  const lengthNm = wall.length.valueNm;
  const lowNm = wall.height.valueNm;
  if (shape.how === "level" || lengthNm === null || lowNm === null) return [];
  const say = (nm: Nanometres) => formatLength(nm, context.system);
  const high = (path: string, nm: Nanometres | null, what: string): Problem[] => {
    if (nm === null) return [];
    if (nm > HIGHEST_WALL_NM) {
      return [problem("too-high", path, `A wall is at most ${say(HIGHEST_WALL_NM)} high. Check the unit.`)];
    }
    return nm > lowNm ? [] : [problem("not-higher", path, `The ${what} is above the low height, ${say(lowNm)}.`)];
  };
  if (shape.how === "slope") return high("shape.highHeight", shape.highHeight.valueNm, "high end");
  const along = (path: string, nm: Nanometres | null): Problem[] =>
    nm === null || (nm > 0 && nm < lengthNm)
      ? []
      : [problem("outside-wall", path, `This lies between the ends of the wall, 0 to ${say(lengthNm)}.`)];
  if (shape.how === "gable") {
    return [
      ...high("shape.peakHeight", shape.peakHeight.valueNm, "peak"),
      ...along("shape.peakAt", shape.peakAt.valueNm),
    ];
  }
  const leastNm = (wall.parameters.bottomPlates.value + 2) * studThicknessNm(wall, context);
  return shape.points.flatMap(({ id, at, height }, index) => {
    const beforeNm = shape.points[index - 1]?.at.valueNm ?? 0;
    const path = `shape.points.${id}`;
    if (at.valueNm !== null && (at.valueNm <= beforeNm || at.valueNm > lengthNm)) {
      return [problem("outside-wall", `${path}.at`, `This lies past ${say(beforeNm)} and within ${say(lengthNm)}.`)];
    }
    if (height.valueNm === null || (height.valueNm > leastNm && height.valueNm <= HIGHEST_WALL_NM)) return [];
    return [problem("too-low", `${path}.height`, `A height here is more than ${say(leastNm)}.`)];
  });
}

function duplicateIds(wall: StudWall): Problem[] {
  return wall.openings.flatMap((opening, index) =>
    wall.openings.findIndex((other) => other.id === opening.id) === index
      ? []
      : [problem("duplicate-id", `openings.${opening.id}.id`, `Two openings share the id ${opening.id}.`)],
  );
}

function sizeProblems(opening: Opening, _context: PartContext): Problem[] {
  const at = (field: string) => `openings.${opening.id}.${field}`;
  const positive = (field: "width" | "height", dimension: Dimension): Problem[] => {
    if (dimension.valueNm === null) return [problem("missing", at(field), `${opening.name} needs a ${field}.`)];
    if (dimension.valueNm > 0) return [];
    return [problem("not-positive", at(field), `${opening.name}: the ${field} is more than zero.`)];
  };
  const notNegative = (field: "sill" | "position", dimension: Dimension): Problem[] => {
    if (dimension.valueNm === null) return [problem("missing", at(field), `${opening.name} needs a ${field}.`)];
    if (dimension.valueNm >= 0) return [];
    const below = field === "sill" ? "below the floor" : "before the left end of the wall";
    return [problem("negative", at(field), `${opening.name}: this is ${below}.`)];
  };
  return [
    ...positive("width", opening.width),
    ...positive("height", opening.height),
    ...notNegative("sill", opening.sill),
    ...notNegative("position", opening.position),
  ];
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
  const platesNm = wall.parameters.bottomPlates.value * studThicknessNm(wall, context);
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
  const jambNm = jambStuds(wall, opening) * studThicknessNm(wall, context);
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
    const { kingsPerSide } = wall.parameters;
    // One set of kings serves both.
    const studs = jambStuds(wall, before) + jambStuds(wall, opening) - kingsPerSide.value;
    const leastNm = studs * studThicknessNm(wall, context);
    if (gapNm >= leastNm) return [];
    const message = `${before.name} and ${opening.name} are ${say(gapNm)} apart; the studs between them need ${say(leastNm)}.`;
    return [problem("no-room-for-studs", path, message)];
  });
}
