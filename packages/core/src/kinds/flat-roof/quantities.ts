import { JOIST_QUANTITIES, joistQuantities } from "../../joists/quantities";
import { joistShape, overhangOf, reachOf, runsWithJoists } from "../../joists/shape";
import { areaQuantity, countQuantity, lengthQuantity, type Quantity, type QuantityValues } from "../../parts/quantity";
import { areaOf, toMetres } from "../../units";
import type { FlatRoof } from "./schema";
import { isOpen } from "./sides";
import { TRIMS, trimNm } from "./trims";

export const FLAT_ROOF_QUANTITIES: readonly Quantity[] = [
  ...JOIST_QUANTITIES,
  ...TRIMS.map(([name, label]) => lengthQuantity(`${name}Length`, label, name)),
  lengthQuantity("joistRun", "Length along the joists"),
  lengthQuantity("acrossRun", "Width across the joists"),
  areaQuantity("soffitArea", "Area of soffits, as wide as what hangs over"),
  lengthQuantity("plateLength", "Wall plates under what hangs over"),
  countQuantity("openSides", "Open sides"),
];

/** A soffit as long as it was set by hand is as wide as the overhangs are on average. */
function soffitArea(roof: FlatRoof): number {
  const open = roof.edges.filter(isOpen);
  const longNm = open.reduce((sum, { length }) => sum + (length.valueNm ?? 0), 0);
  const area = open.reduce((sum, edge) => sum + areaOf(edge.length.valueNm ?? 0, overhangOf(edge)), 0);
  return longNm === 0 ? 0 : (area * trimNm(roof, "soffit")) / longNm;
}

export function flatRoofQuantities(roof: FlatRoof): QuantityValues {
  const shape = joistShape(roof);
  if (!shape) return {};
  const reach = reachOf(shape.ring);
  const plates = shape.edges.filter((line) => !runsWithJoists(line) && isOpen(line.edge));
  return {
    ...joistQuantities(roof),
    ...Object.fromEntries(TRIMS.map(([name]) => [`${name}Length`, toMetres(trimNm(roof, name))])),
    joistRun: toMetres(reach.u1 - reach.u0),
    acrossRun: toMetres(reach.v1 - reach.v0),
    soffitArea: soffitArea(roof),
    plateLength: plates.reduce((sum, { edge }) => sum + toMetres(edge.length.valueNm ?? 0), 0),
    openSides: roof.edges.filter(isOpen).length,
  };
}
