import type { Nanometres } from "./length";

/**
 * How many spaces of at most `spacingNm` a length divides into.
 *
 * Exact: both are integers below 2^53, so the quotient of an exact multiple is that integer, and any remainder moves
 * the quotient by at least 1 / spacingNm, far above the rounding of a double.
 */
export function spacesIn(lengthNm: Nanometres, spacingNm: Nanometres): number {
  if (!Number.isSafeInteger(lengthNm) || !Number.isSafeInteger(spacingNm) || spacingNm <= 0) {
    throw new RangeError(`spacesIn: needs whole nanometres and a spacing above zero, got ${lengthNm} and ${spacingNm}`);
  }
  return Math.max(0, Math.ceil(lengthNm / spacingNm));
}

/** Pieces along a length at a spacing, one at each end: 12 ft at 16 in is 10. */
export const piecesAtSpacing = (lengthNm: Nanometres, spacingNm: Nanometres): number =>
  spacesIn(lengthNm, spacingNm) + 1;

/** Whole packs that hold a quantity: never a part of a pack, and no extra one for a rounding hair. */
export function wholePacks(quantity: number, packSize: number): number {
  const packs = quantity / packSize;
  const nearest = Math.round(packs);
  return Math.abs(packs - nearest) < 1e-9 ? nearest : Math.ceil(packs);
}
