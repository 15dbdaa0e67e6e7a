import { perimeterNm, polygonArea } from "../geometry";
import type { Measure, PartContext } from "../parts/partKind";
import { areaQuantity, countQuantity, lengthQuantity, type QuantityValues } from "../parts/quantity";
import { areaOf, formatArea, formatLength, toMetres } from "../units";
import { joistChoicesOf } from "./choices";
import { floorOpeningName } from "./figures";
import type { Joisted } from "./schema";
import { joistShape, openingArea } from "./shape";

export const JOIST_QUANTITIES = [
  areaQuantity("grossArea", "Area to the outside of the joists"),
  areaQuantity("netArea", "Area less its openings"),
  areaQuantity("openingArea", "Area of openings, as framed"),
  lengthQuantity("openingRims", "Round openings, as framed"),
  lengthQuantity("perimeter", "Round the outside"),
  countQuantity("openingCount", "Openings"),
  countQuantity("leftWhole", "Openings that joists are left whole through"),
] as const;

/** Openings that are measured, in square metres and round them; as framed, by the choices in force. */
function openingsOf(part: Joisted, system: PartContext["system"]) {
  const choices = joistChoicesOf(part, system);
  const areas = part.openings.flatMap((opening) => {
    const area = openingArea(opening, part, choices);
    return area ? [{ opening, long: area.u1 - area.u0, wide: area.v1 - area.v0 }] : [];
  });
  return {
    area: areas.reduce((sum, { long, wide }) => sum + areaOf(long, wide), 0),
    rimsNm: areas.reduce((sum, { long, wide }) => sum + 2 * (long + wide), 0),
    areas,
  };
}

export function joistQuantities(part: Joisted): QuantityValues {
  const shape = joistShape(part);
  if (!shape) return {};
  const grossArea = polygonArea(shape.polygon);
  // A settled part has the lining it is built with; before that it is the same in either system within a hair.
  const { area, rimsNm, areas } = openingsOf(part, "imperial");
  return {
    grossArea,
    netArea: Math.max(0, grossArea - area),
    openingArea: area,
    openingRims: toMetres(rimsNm),
    perimeter: toMetres(perimeterNm(shape.polygon)),
    openingCount: areas.length,
    leftWhole: areas.filter(({ opening }) => opening.runThrough).length,
  };
}

/** The area with how it came about. */
export function joistMeasures(part: Joisted, { system }: PartContext): Measure[] {
  const shape = joistShape(part);
  if (!shape) return [];
  const gross = polygonArea(shape.polygon);
  const { area, areas } = openingsOf(part, system);
  const net = formatArea(Math.max(0, gross - area), system);
  const say = (nm: number) => formatLength(nm, system);
  return [
    {
      id: "area",
      name: "Area of floor",
      of: "",
      text: net,
      working: {
        sentence: `What ${part.name} covers to the outside of its joists, less its openings as they are framed.`,
        formula: areas.length === 0 ? "inside its outline" : "inside its outline − openings",
        withNumbers: areas.length === 0 ? net : `${formatArea(gross, system)} − ${formatArea(area, system)} = ${net}`,
        steps: [
          { label: "Round the outside", value: say(perimeterNm(shape.polygon)) },
          ...areas.map(({ opening, long, wide }) => ({
            label: floorOpeningName(part, opening.id) ?? "",
            value: `${say(long)} × ${say(wide)}`,
          })),
        ],
      },
      shapeIds: ["floor"],
    },
  ];
}
