import type { Nanometres } from "../../units";
import type { DeckChoices } from "./choices";

/** Rows of boards over a depth: so many whole ones, a gap between, and what the last is ripped to; 0 where all are whole. */
export type BoardRows = {
  readonly whole: number;
  readonly gapNm: Nanometres;
  readonly rippedNm: Nanometres;
};

/** Less is the rounding of a slanting edge. */
const NONE_NM = 500_000;

/**
 * Rows of boards so wide over a depth. Ripped: as many whole ones as fit with their gaps, and what is left. Opened: whole ones alone, the gaps
 * between them as wide as it takes. Arithmetic.
 */
export function boardRows(
  depthNm: Nanometres,
  widthNm: Nanometres,
  { boardGap, lastBoard }: Pick<DeckChoices, "boardGap" | "lastBoard">,
): BoardRows {
  if (depthNm <= NONE_NM) return { whole: 0, gapNm: boardGap, rippedNm: 0 };
  const whole = Math.floor((depthNm + boardGap + NONE_NM) / (widthNm + boardGap));
  if (whole === 0) return { whole, gapNm: boardGap, rippedNm: depthNm };
  if (lastBoard === "opened" && whole > 1)
    return { whole, gapNm: (depthNm - whole * widthNm) / (whole - 1), rippedNm: 0 };
  const rest = depthNm - whole * (widthNm + boardGap);
  return { whole, gapNm: boardGap, rippedNm: rest > NONE_NM ? rest : 0 };
}

export const rowCount = ({ whole, rippedNm }: BoardRows): number => whole + (rippedNm > 0 ? 1 : 0);
