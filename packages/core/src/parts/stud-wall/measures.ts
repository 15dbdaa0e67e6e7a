import { areaOf, formatArea, formatLength, formatRunningLength, type SquareMetres } from "../../units";
import type { Measure, PartContext } from "../partKind";
import type { StudWall } from "./schema";

export const grossAreaOf = (wall: StudWall): SquareMetres => areaOf(wall.length.valueNm ?? 0, wall.height.valueNm ?? 0);

export const openingAreaOf = (wall: StudWall): SquareMetres =>
  wall.openings.reduce((sum, opening) => sum + areaOf(opening.width.valueNm ?? 0, opening.height.valueNm ?? 0), 0);

export const netAreaOf = (wall: StudWall): SquareMetres => grossAreaOf(wall) - openingAreaOf(wall);

export function studWallMeasures(wall: StudWall, context: PartContext): readonly Measure[] {
  if (wall.length.valueNm === null) return [];
  return [
    { name: "Length", text: formatRunningLength(wall.length.valueNm, context.system) },
    { name: "Height", text: formatLength(wall.height.valueNm ?? 0, context.system) },
    { name: "Area", text: formatArea(grossAreaOf(wall), context.system) },
    { name: "Area less openings", text: formatArea(netAreaOf(wall), context.system) },
  ];
}
