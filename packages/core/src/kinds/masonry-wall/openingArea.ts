import type { FigureSlot } from "../../parts/figure";
import { marked } from "../../parts/figures";
import { pointsOfFigures } from "../../parts/openPointsOf";
import type { OpenPoint, PartContext } from "../../parts/partKind";
import { type Problem, problem } from "../../problems/problem";
import { formatArea } from "../../units";
import { grossAreaOf } from "../../wall/measures";
import type { MasonryWall } from "./schema";
import { choicesOf } from "./slot";

const PATH = "openingArea";

/** The third of the three figures that price a wall nobody has drawn the openings of. */
export const openingAreaFigures = ({ openings, openingArea, settled }: MasonryWall): readonly FigureSlot[] => {
  const entered = openingArea.value !== null || openingArea.refused !== undefined;
  const { buildUp, method } = settled?.choices ?? {};
  // Where courses are laid out it comes to nothing, and nobody is asked.
  const laidOut = settled !== undefined && buildUp !== "stone" && method !== "by-area";
  if (!entered && (openings.length > 0 || laidOut)) return [];
  return [
    {
      path: PATH,
      label: "Area of openings",
      of: "",
      measure: "area",
      figure: openingArea,
      least: 0,
      keepsRefused: true,
    },
  ];
};

export const withOpeningArea = (
  wall: MasonryWall,
  path: string,
  value: number,
  typed: string,
): MasonryWall | undefined => (path === PATH ? { ...wall, openingArea: { value, typed, assumed: false } } : undefined);

export const withRefusedArea = (wall: MasonryWall, path: string, typed: string | undefined): MasonryWall | undefined =>
  path === PATH ? { ...wall, openingArea: marked(wall.openingArea, typed) } : undefined;

/** Openings that leave nothing of the wall. */
export function openingAreaProblems(wall: MasonryWall, { system }: PartContext): Problem[] {
  const { value } = wall.openingArea;
  const gross = grossAreaOf(wall);
  if (value === null || wall.length.valueNm === null || wall.openings.length > 0 || value < gross) return [];
  const say = (area: number) => formatArea(area, system);
  return [problem("openings-too-large", PATH, `Openings of ${say(value)} leave nothing of a wall of ${say(gross)}.`)];
}

/** Where an area of openings that was entered is not what the wall is laid out by. */
export function openingAreaPoints(wall: MasonryWall, context: PartContext): OpenPoint[] {
  const { value, refused } = wall.openingArea;
  if (refused !== undefined) return pointsOfFigures(openingAreaFigures(wall), context.system);
  if (value === null || value === 0) return [];
  const area = formatArea(value, context.system);
  if (wall.openings.length > 0) {
    const message = `The area of openings, ${area}, is not taken off: its openings are entered one by one`;
    return [{ path: PATH, kind: "conflict", message }];
  }
  const { buildUp, method } = choicesOf(wall, context.system);
  if (buildUp === "stone" || method === "by-area") return [];
  const message = `Laid out as if it had no openings: ${area} is taken off its area alone. Enter them, or count it by area`;
  return [{ path: PATH, kind: "conflict", message }];
}
