import { type Allowance, NO_ALLOWANCE, type Opening } from "../../parts/opening";
import type { FramingParameters } from "./parameters";

type Allowances = Pick<FramingParameters, "doorAllowanceWidthNm" | "doorAllowanceHeightNm" | "windowAllowanceNm">;

/** How much larger than its unit a rough opening of a kind is. What has no unit in it takes none. */
export function unitAllowance(kind: string, parameters: Allowances): Allowance {
  if (kind === "window") {
    const { value } = parameters.windowAllowanceNm;
    return { widthNm: value, heightNm: value };
  }
  if (kind !== "door") return NO_ALLOWANCE;
  return { widthNm: parameters.doorAllowanceWidthNm.value, heightNm: parameters.doorAllowanceHeightNm.value };
}

type Framed = { readonly parameters: Allowances };

/** What the wall adds to an opening's sizes to frame it. */
export const allowanceOf = (
  { parameters }: Framed,
  { kind, measuredAs }: Pick<Opening, "kind" | "measuredAs">,
): Allowance => unitAllowance(measuredAs === "unit" ? kind : "", parameters);
