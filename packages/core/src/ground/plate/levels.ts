import type { Nanometres } from "../../units";
import type { GroundChoices } from "../choices";
import type { Plate } from "./schema";

/** Heights of a plate above the ground, below it less than nothing. */
export type PlateLevels = {
  readonly topNm: Nanometres;
  /** Underside of the slab between its beams. */
  readonly slabNm: Nanometres;
  /** What the fill is laid on: as deep as the ground is dug between the beams. */
  readonly formationNm: Nanometres;
};

type Layers = Pick<GroundChoices, "insulation" | "blinding" | "fill">;

export function plateLevels(plate: Plate, { insulation, blinding, fill }: Layers): PlateLevels {
  const topNm = plate.top.valueNm ?? 0;
  const slabNm = topNm - Math.max(0, plate.thickness.valueNm ?? 0);
  return { topNm, slabNm, formationNm: slabNm - insulation - blinding - fill };
}

/** How deep a beam is: never less than the slab that it is part of. */
export const undersideNm = (levels: PlateLevels, depthNm: Nanometres): Nanometres =>
  Math.min(levels.slabNm, levels.topNm - depthNm);

export type Layer = { readonly role: string; readonly fromNm: Nanometres; readonly toNm: Nanometres };

/** What lies under concrete whose underside is so high, from the top down to what is dug: nothing thin is left out, nothing is twice. */
export function layersUnder(
  levels: PlateLevels,
  concreteNm: Nanometres,
  { insulation, blinding }: Layers,
  inField: boolean,
): readonly Layer[] {
  const insulated = inField ? insulation : 0;
  const blindingTop = concreteNm - insulated;
  const blindingNm = blindingTop - blinding;
  const bottomNm = Math.min(blindingNm, levels.formationNm);
  return [
    { role: "ground-insulation", fromNm: blindingTop, toNm: concreteNm },
    { role: "blinding", fromNm: blindingNm, toNm: blindingTop },
    { role: "fill", fromNm: bottomNm, toNm: blindingNm },
  ].filter(({ fromNm, toNm }) => toNm > fromNm);
}

/** As deep as is dug under concrete whose underside is so high. */
export const dugTo = (levels: PlateLevels, concreteNm: Nanometres, layers: Layers, inField: boolean): Nanometres =>
  Math.min(levels.formationNm, concreteNm - layers.blinding - (inField ? layers.insulation : 0));
