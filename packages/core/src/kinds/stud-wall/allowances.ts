import { type Allowance, NO_ALLOWANCE, type Opening } from "../../parts/opening";
import type { MeasuringSystem } from "../../units";
import type { FramingChoices } from "./parameters";
import { type Framed, framingOf } from "./slot";

type Allowances = Pick<FramingChoices, "doorAllowanceWidth" | "doorAllowanceHeight" | "windowAllowance">;

/** How much larger than its unit a rough opening of a kind is. What has no unit in it takes none. */
export function unitAllowance(kind: string, framing: Allowances): Allowance {
  if (kind === "window") return { widthNm: framing.windowAllowance, heightNm: framing.windowAllowance };
  if (kind !== "door") return NO_ALLOWANCE;
  return { widthNm: framing.doorAllowanceWidth, heightNm: framing.doorAllowanceHeight };
}

/** What a wall adds to an opening's sizes to frame it. */
export const allowanceOf = (
  wall: Framed,
  { kind, measuredAs }: Pick<Opening, "kind" | "measuredAs">,
  system: MeasuringSystem,
): Allowance => (measuredAs === "unit" ? unitAllowance(kind, framingOf(wall, system)) : NO_ALLOWANCE);
