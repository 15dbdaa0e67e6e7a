import { differenceRings, overlapArea, type Polygon, perimeterNm, polygonArea, signedArea } from "../geometry";
import type { Measure, PartContext } from "../parts/partKind";
import { areaQuantity, countQuantity, lengthQuantity, type QuantityValues } from "../parts/quantity";
import { formatArea, formatLength, toMetres } from "../units";
import { joistChoicesOf } from "./choices";
import { floorOpeningName } from "./figures";
import type { Joisted } from "./schema";
import { cornersOfArea, type JoistShape, joistShape, openingArea } from "./shape";

export const JOIST_QUANTITIES = [
  areaQuantity("grossArea", "Area to the outside of the joists"),
  areaQuantity("netArea", "Area less its openings"),
  areaQuantity("openingArea", "Area of openings, as framed"),
  lengthQuantity("openingRims", "Round openings, as framed"),
  lengthQuantity("perimeter", "Round the outside"),
  countQuantity("openingCount", "Openings"),
  countQuantity("leftWhole", "Openings that joists are left whole through"),
] as const;

/** Openings that are measured and lie in the floor, as framed, by the choices in force; and the floor without what they take of it. */
function openingsOf(part: Joisted, shape: JoistShape, system: PartContext["system"]) {
  const choices = joistChoicesOf(part, system);
  const areas = part.openings.flatMap((opening) => {
    const area = openingArea(opening, part, choices);
    if (!area) return [];
    const ring = cornersOfArea(area, shape);
    return overlapArea(ring, shape.polygon) > 0
      ? [{ opening, ring, long: area.u1 - area.u0, wide: area.v1 - area.v0 }]
      : [];
  });
  // What two of them share is taken once, and what lies outside not at all.
  const left = areas.length === 0 ? [shape.polygon] : differenceRings(shape.polygon, areas.map(against));
  return {
    netArea: left.reduce((sum, ring) => sum + (areas.length === 0 ? polygonArea(ring) : signedArea(ring)), 0),
    rimsNm: areas.reduce((sum, { long, wide }) => sum + 2 * (long + wide), 0),
    areas,
  };
}

/** A ring against the clock: one that was mirrored runs the other way. */
const against = ({ ring }: { readonly ring: Polygon }): Polygon => (signedArea(ring) < 0 ? ring.toReversed() : ring);

export function joistQuantities(part: Joisted): QuantityValues {
  const shape = joistShape(part);
  if (!shape) return {};
  const grossArea = polygonArea(shape.polygon);
  // A settled part has the lining it is built with; before that it is the same in either system within a hair.
  const { netArea, rimsNm, areas } = openingsOf(part, shape, "imperial");
  return {
    grossArea,
    netArea,
    openingArea: grossArea - netArea,
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
  const { netArea, areas } = openingsOf(part, shape, system);
  const net = formatArea(netArea, system);
  const say = (nm: number) => formatLength(nm, system);
  return [
    {
      id: "area",
      name: "Area",
      of: "",
      text: net,
      working: {
        sentence: `What ${part.name} covers to the outside of its joists, less its openings as they are framed.`,
        formula: areas.length === 0 ? "inside its outline" : "inside its outline − openings",
        withNumbers:
          areas.length === 0 ? net : `${formatArea(gross, system)} − ${formatArea(gross - netArea, system)} = ${net}`,
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
