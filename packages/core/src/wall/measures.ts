import type { Measure, PartContext } from "../parts/partKind";
import { areaOf, formatArea, formatLength, formatRunningLength, type SquareMetres } from "../units";
import { areaUnder, profileOf } from "../wall/profile";
import type { Wall } from "./schema";

/** With the triangle of a gable or slope. */
export const grossAreaOf = (wall: Wall): SquareMetres => areaUnder(profileOf(wall));

/** Of the openings that are entered; where none is, what was entered for them all. */
export const openingAreaOf = ({ openings, openingArea }: Wall): SquareMetres =>
  openings.length === 0
    ? (openingArea?.value ?? 0)
    : openings.reduce((sum, opening) => sum + areaOf(opening.width.valueNm ?? 0, opening.height.valueNm ?? 0), 0);

export const netAreaOf = (wall: Wall): SquareMetres => grossAreaOf(wall) - openingAreaOf(wall);

export function wallMeasures(wall: Wall, { system }: PartContext): readonly Measure[] {
  const { valueNm } = wall.length;
  if (valueNm === null) return [];
  const length = formatLength(valueNm, system);
  const height = formatLength(wall.height.valueNm ?? 0, system);
  const gross = formatArea(grossAreaOf(wall), system);
  const openings = formatArea(openingAreaOf(wall), system);
  const net = formatArea(netAreaOf(wall), system);
  const measure = (id: string, name: string, text: string, formula: string, withNumbers: string): Measure => {
    const working = { sentence: `${name} of ${wall.name}.`, formula, withNumbers, steps: [] };
    return { id, name, of: "", text, working, shapeIds: ["outline"] };
  };
  return [
    measure("length", "Length", formatRunningLength(valueNm, system), "as measured", length),
    measure("height", "Height", height, "as measured", height),
    wall.shape.how === "level"
      ? measure("area", "Area", gross, "length × height", `${length} × ${height} = ${gross}`)
      : measure("area", "Area", gross, "stretches × their mean heights, added up", `under the slope = ${gross}`),
    measure("net-area", "Area less openings", net, "area − openings", `${gross} − ${openings} = ${net}`),
  ];
}
