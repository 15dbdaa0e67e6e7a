import { type CubicMetres, toMetres } from "../../../units";
import type { LeafPlan } from "../leaves";
import type { MasonryChoices } from "../parameters";
import { perSquareMetre, volumeOf } from "./amounts";

/** A wall of stone by the average stone: its faces, their mortar, and what fills between two faces or behind one. */
export type StoneAmounts = {
  readonly stones: number;
  readonly mortarM3: CubicMetres;
  readonly heartingM3: CubicMetres;
};

/** Stones by area: what sorting and snapping cost is for the rule's waste to say. */
export function stoneAmounts(areaM2: number, leaf: LeafPlan, { stoneFaces }: MasonryChoices): StoneAmounts {
  const { unit, thicknessNm } = leaf;
  const stones = stoneFaces * areaM2 * perSquareMetre(leaf);
  const facesNm = Math.min(thicknessNm, stoneFaces * unit.thicknessNm);
  const facesM3 = areaM2 * toMetres(facesNm);
  return {
    stones,
    mortarM3: Math.max(0, facesM3 - stones * volumeOf(unit)),
    heartingM3: areaM2 * toMetres(thicknessNm - facesNm),
  };
}
