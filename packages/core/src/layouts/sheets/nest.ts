import type { Nanometres } from "../../units";

type Size = { readonly widthNm: Nanometres; readonly heightNm: Nanometres };
type Offcut = Size & { readonly sheetNumber: number };

/**
 * Which bought sheet each needed piece is cut from: largest first, out of the smallest offcut that holds it, else out of
 * a new sheet. Cuts run edge to edge, as a saw's do. Pieces are not turned: the strength axis stays upright.
 */
export function nestPieces(pieces: readonly Size[], sheet: Size, leastOffcutNm: Nanometres = 0): number[] {
  const numbers = new Array<number>(pieces.length).fill(0);
  const offcuts: Offcut[] = [];
  let sheets = 0;
  const parts: { piece: Size; index: number }[] = [];
  for (const [index, piece] of pieces.entries()) {
    const whole = piece.widthNm === sheet.widthNm && piece.heightNm === sheet.heightNm;
    if (whole) sheets += 1;
    else parts.push({ piece, index });
    if (whole) numbers[index] = sheets;
  }
  for (const { piece, index } of parts.toSorted((a, b) => size(b.piece) - size(a.piece))) {
    let source = takeSmallest(offcuts, piece);
    if (!source) {
      sheets += 1;
      source = { ...sheet, sheetNumber: sheets };
    }
    numbers[index] = source.sheetNumber;
    keepOffcuts(offcuts, source, piece, leastOffcutNm);
  }
  return numbers;
}

const size = (piece: Size): number => piece.widthNm * piece.heightNm;
const holds = (outer: Size, inner: Size): boolean => outer.widthNm >= inner.widthNm && outer.heightNm >= inner.heightNm;

function takeSmallest(offcuts: Offcut[], piece: Size): Offcut | undefined {
  let best = -1;
  for (const [index, offcut] of offcuts.entries()) {
    if (!holds(offcut, piece)) continue;
    const leader = offcuts[best];
    if (!leader || size(offcut) < size(leader)) best = index;
  }
  return best < 0 ? undefined : offcuts.splice(best, 1)[0];
}

/** What is left of a sheet once a piece is cut from its corner goes to the offcuts: the longer leftover is kept whole. */
function keepOffcuts(offcuts: Offcut[], source: Offcut, piece: Size, leastNm: Nanometres): void {
  const { sheetNumber } = source;
  const beside = source.widthNm - piece.widthNm;
  const above = source.heightNm - piece.heightNm;
  const alongHeight = beside >= above;
  const keep = (widthNm: Nanometres, heightNm: Nanometres) => {
    if (Math.min(widthNm, heightNm) >= Math.max(1, leastNm)) offcuts.push({ sheetNumber, widthNm, heightNm });
  };
  keep(beside, alongHeight ? source.heightNm : piece.heightNm);
  keep(alongHeight ? piece.widthNm : source.widthNm, above);
}
