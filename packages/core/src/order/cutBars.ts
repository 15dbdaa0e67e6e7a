import type { Nanometres } from "../units";

export type NeededPiece = { readonly id: string; readonly lengthNm: Nanometres };
export type Bar = { readonly stockNm: Nanometres; readonly pieces: readonly NeededPiece[] };

/**
 * Cuts pieces from stock. Each stock length in turn is tried as the longest bar: pieces go longest first into the first
 * bar with room, then each bar is traded for the shortest stock that holds what it gives. The way that buys the least
 * length is kept. `tooLong` lists pieces that no stock reaches.
 */
export function cutBars(
  pieces: readonly NeededPiece[],
  stockLengthsNm: readonly Nanometres[],
  kerfNm: Nanometres,
): { bars: Bar[]; tooLong: NeededPiece[] } {
  const stock = stockLengthsNm.toSorted((a, b) => a - b);
  const longestStockNm = stock[stock.length - 1] ?? 0;
  const tooLong = pieces.filter((piece) => piece.lengthNm > longestStockNm);
  const fitting = pieces
    .filter((piece) => piece.lengthNm <= longestStockNm)
    .toSorted((a, b) => b.lengthNm - a.lengthNm || a.id.localeCompare(b.id));
  const longestPieceNm = fitting[0]?.lengthNm ?? 0;
  const ways = stock
    .filter((lengthNm) => lengthNm >= longestPieceNm)
    .map((longestNm) => firstFit(fitting, stock, longestNm, kerfNm));
  const least = ways.reduce<Bar[]>(
    (best, way) => (best.length > 0 && boughtNm(best) <= boughtNm(way) ? best : way),
    [],
  );
  return { bars: least, tooLong };
}

const boughtNm = (bars: readonly Bar[]): Nanometres => bars.reduce((sum, bar) => sum + bar.stockNm, 0);

function firstFit(
  longestFirst: readonly NeededPiece[],
  stock: readonly Nanometres[],
  longestNm: Nanometres,
  kerfNm: Nanometres,
): Bar[] {
  const open: { usedNm: Nanometres; pieces: NeededPiece[] }[] = [];
  for (const piece of longestFirst) {
    const bar = open.find((each) => each.usedNm + kerfNm + piece.lengthNm <= longestNm);
    if (bar) {
      bar.usedNm += kerfNm + piece.lengthNm;
      bar.pieces.push(piece);
    } else {
      open.push({ usedNm: piece.lengthNm, pieces: [piece] });
    }
  }
  return open.map((bar) => ({
    stockNm: stock.find((lengthNm) => lengthNm >= bar.usedNm) ?? longestNm,
    pieces: bar.pieces,
  }));
}
