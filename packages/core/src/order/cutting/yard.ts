import type { Bar, CutSettings, NeededPiece, Stock } from "./cutProblem";

/**
 * Cuts what it can from offcuts and stock that is there already, the shortest offcut first, each filled longest first.
 * They cost nothing, so they are used before anything is bought.
 */
export function takeFromYard(
  pieces: readonly NeededPiece[],
  stock: readonly Stock[],
  { kerfNm }: CutSettings,
): { readonly bars: readonly Bar[]; readonly left: readonly NeededPiece[] } {
  const yard = stock.filter((each) => each.count !== undefined).toSorted((a, b) => a.lengthNm - b.lengthNm);
  if (yard.length === 0) return { bars: [], left: pieces };
  const left = pieces.toSorted((a, b) => b.lengthNm - a.lengthNm);
  const bars: Bar[] = [];
  for (const { lengthNm, count = 0 } of yard) {
    for (let copy = 0; copy < count; copy += 1) {
      const taken: NeededPiece[] = [];
      let roomNm = lengthNm + kerfNm;
      for (let index = 0; index < left.length; index += 1) {
        const piece = left[index];
        if (!piece || piece.lengthNm + kerfNm > roomNm) continue;
        taken.push(piece);
        roomNm -= piece.lengthNm + kerfNm;
        left.splice(index, 1);
        index -= 1;
      }
      if (taken.length > 0) bars.push({ stockNm: lengthNm, pieces: taken, fromYard: true });
    }
  }
  return { bars, left };
}
