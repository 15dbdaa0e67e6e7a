import type { Dimension } from "../parts/dimension";
import type { Opening } from "../parts/opening";
import { type Problem, problem } from "../problems/problem";
import { formatLength, type MeasuringSystem, metres, type Nanometres } from "../units";
import type { Wall } from "./schema";

const LONGEST_WALL_NM = metres(200);
export const HIGHEST_WALL_NM = metres(15);

/** Length and height within what any wall has. Nothing for a length that nobody measured, where no opening asks for it. */
export function extentProblems(wall: Wall, system: MeasuringSystem): Problem[] {
  const say = (nm: Nanometres) => formatLength(nm, system);
  const [lengthNm, heightNm] = [wall.length.valueNm, wall.height.valueNm];
  const found: Problem[] = [];
  if (lengthNm === null) {
    if (wall.openings.length > 0) found.push(problem("no-length", "length", "Measure the wall before its openings."));
  } else if (lengthNm <= 0) found.push(problem("not-positive", "length", "A wall's length is more than zero."));
  else if (lengthNm > LONGEST_WALL_NM) {
    found.push(problem("too-long", "length", `A wall is at most ${say(LONGEST_WALL_NM)} long. Check the unit.`));
  }
  if (heightNm === null) found.push(problem("no-height", "height", "A wall needs a height."));
  else if (heightNm <= 0) found.push(problem("not-positive", "height", "A wall's height is more than zero."));
  else if (heightNm > HIGHEST_WALL_NM) {
    found.push(problem("too-high", "height", `A wall is at most ${say(HIGHEST_WALL_NM)} high. Check the unit.`));
  }
  return found;
}

/** The figures of a slope or gable: within the wall, in order, and higher than `leastNm`. */
export function shapeProblems(wall: Wall, leastNm: Nanometres, system: MeasuringSystem): Problem[] {
  const { shape } = wall;
  const lengthNm = wall.length.valueNm;
  const lowNm = wall.height.valueNm;
  if (shape.how === "level" || lengthNm === null || lowNm === null) return [];
  const say = (nm: Nanometres) => formatLength(nm, system);
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

export function duplicateIds(wall: Wall): Problem[] {
  return wall.openings.flatMap((opening, index) =>
    wall.openings.findIndex((other) => other.id === opening.id) === index
      ? []
      : [problem("duplicate-id", `openings.${opening.id}.id`, `Two openings share the id ${opening.id}.`)],
  );
}

export function openingSizeProblems(opening: Opening): Problem[] {
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
