import Big from "big.js";
import { type MeasuringSystem, type Money, toMoney } from "../units";

/** A square foot is exactly 0.09290304 square metres (NIST SP 811, appendix B). */
const M2_PER_SQ_FT = "0.09290304";

/** A cost for one square foot or metre; nothing without an area. */
export function perArea(
  cost: Money,
  areaM2: number,
  system: MeasuringSystem,
): { readonly amount: Money; readonly unit: string } | undefined {
  if (!(areaM2 > 0)) return undefined;
  const each = new Big(cost).div(areaM2);
  return system === "imperial"
    ? { amount: toMoney(each.times(M2_PER_SQ_FT)), unit: "sq ft" }
    : { amount: toMoney(each), unit: "m²" };
}
