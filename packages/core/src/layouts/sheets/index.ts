import { intersection, type Rectangle, right, top } from "../../geometry/rectangle";
import type { Nanometres } from "../../units";
import type { SheetPiece } from "../piece";
import { nestPieces } from "./nest";

export { nestPieces } from "./nest";

/** Sheets upright in courses from the lower left corner, cut at the edges and round openings. */
export function layoutSheets(
  area: Rectangle,
  openings: readonly Rectangle[],
  sheet: { widthNm: Nanometres; heightNm: Nanometres },
): SheetPiece[] {
  const needed = courses(area, sheet).flatMap((cell) => cutOutFullWidth(cell, openings));
  const numbers = nestPieces(needed, sheet);
  return needed.map(({ xNm, yNm, widthNm, heightNm }, index) => {
    const sheetNumber = numbers[index] ?? 0;
    return { id: `sheet-${index + 1}`, role: "sheet", sheetNumber, xNm, yNm, widthNm, heightNm };
  });
}

function courses(area: Rectangle, sheet: { widthNm: Nanometres; heightNm: Nanometres }): Rectangle[] {
  const cells: Rectangle[] = [];
  for (let yNm = area.yNm; yNm < top(area); yNm += sheet.heightNm) {
    for (let xNm = area.xNm; xNm < right(area); xNm += sheet.widthNm) {
      const cell = intersection({ xNm, yNm, ...sheet }, area);
      if (cell) cells.push(cell);
    }
  }
  return cells;
}

/** Where openings take the whole width of a cell, what is left above and below are pieces of their own. */
function cutOutFullWidth(cell: Rectangle, openings: readonly Rectangle[]): Rectangle[] {
  const gaps = openings
    .map((opening) => intersection(cell, opening))
    .filter((gap) => gap !== undefined)
    .filter((gap) => gap.widthNm === cell.widthNm)
    .toSorted((a, b) => a.yNm - b.yNm);
  const pieces: Rectangle[] = [];
  let fromNm = cell.yNm;
  for (const gap of gaps) {
    if (gap.yNm > fromNm) pieces.push({ ...cell, yNm: fromNm, heightNm: gap.yNm - fromNm });
    fromNm = Math.max(fromNm, top(gap));
  }
  if (fromNm < top(cell)) pieces.push({ ...cell, yNm: fromNm, heightNm: top(cell) - fromNm });
  return pieces;
}
