import { type CountLine, quantityParts } from "../count/records";
import { ownValue } from "../records/ownValue";
import type { MeasuringSystem } from "../units";

/** How much of the base unit one of what is said comes to (NIST SP 811, appendix B); all else is said as it is counted. */
const BASE: Readonly<Record<string, string>> = {
  ft: "0.3048",
  "sq ft": "0.09290304",
  "cu ft": "0.028316846592",
  "US gal": "0.003785411784",
  L: "0.001",
  lb: "0.45359237",
};

export type SaidQuantity = { readonly figure: string; readonly unitName: string; readonly base: string };

/** A quantity as it is shown, so that what is on paper multiplies. */
export function saidQuantity(
  { quantity, unit }: Pick<CountLine, "quantity" | "unit">,
  system: MeasuringSystem,
): SaidQuantity {
  const { figure, unit: unitName } = quantityParts(quantity, unit, system);
  return { figure, unitName, base: ownValue(BASE, unitName) ?? "1" };
}
