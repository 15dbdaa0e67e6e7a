import type { Section, SectionBook } from "../../parts/section";
import { ownValue } from "../../records/ownValue";
import { type Nanometres, NM_PER_MM } from "../../units";
import type { RoofChoices } from "./parameters";

/** A rafter, and how wide the plate is that it bears on. */
export type BearingRafter = Section & { readonly plateNm: Nanometres };

/** A rafter on walls as thick as the studs of the gables that stand on them. */
export const onWallsOf = (rafter: Section, stud: Section): BearingRafter => ({ ...rafter, plateNm: stud.depthNm });

/** The rafter that is chosen, on walls as thick as the studs of the gables; nothing where the list has no such timber. */
export function bearingRafter(
  { rafterSection, gableStudSection }: Pick<RoofChoices, "rafterSection" | "gableStudSection">,
  sections: SectionBook,
): BearingRafter | undefined {
  const [rafter, stud] = [ownValue(sections, rafterSection), ownValue(sections, gableStudSection)];
  return rafter && onWallsOf(rafter, stud ?? rafter);
}

/** Of the timber's depth, square to it, a notch over a plate takes a third at most: common practice. */
const NOTCH_SHARE = 1 / 3;

/** How deep the notch is, plumb: a third of the rafter's depth, and no more than makes its seat as wide as the plate. Millimetres. */
export const heelMm = ({ depthNm, plateNm }: BearingRafter, pitch: number): number =>
  Math.min((depthNm / NM_PER_MM) * NOTCH_SHARE * Math.hypot(1, pitch), (plateNm / NM_PER_MM) * pitch);

/** How far the top of a rafter stands over the line from the plate's corner, plumb: the height above plate. Millimetres. */
export const overPlateMm = (rafter: BearingRafter, pitch: number): number =>
  (rafter.depthNm / NM_PER_MM) * Math.hypot(1, pitch) - heelMm(rafter, pitch);
