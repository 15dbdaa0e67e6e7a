import { intersection, overlaps, type Rectangle, right, top } from "../../geometry/rectangle";
import { heightAt, type Profile, type SheetRole } from "../../parts";
import type { Nanometres } from "../../units";
import type { SheetPiece } from "../piece";
import { nestPieces } from "./nest";

export { nestPieces } from "./nest";

/** A face to cover: its outline, its top where that is not level, and the openings in it. */
export type SheetFace = {
  readonly area: Rectangle;
  readonly profile?: Profile;
  readonly openings: readonly Rectangle[];
};

export type SheetLayout = {
  readonly role: SheetRole;
  readonly layers: number;
  /** As laid: a sheet that lies has its longer side along. */
  readonly sheet: { readonly widthNm: Nanometres; readonly heightNm: Nanometres };
  /** Offcuts smaller than this either way are waste. */
  readonly leastOffcutNm: Nanometres;
};

/** Sheets in courses from the lower left corner, cut at the edges and round openings; every layer alike. */
export function layoutSheets(face: SheetFace, { role, layers, sheet, leastOffcutNm }: SheetLayout): SheetPiece[] {
  const needed = courses(face, sheet).flatMap((cell) => cutOutFullWidth(cell, face.openings));
  const all = Array.from({ length: layers }, () => needed).flat();
  const numbers = nestPieces(all, sheet, leastOffcutNm);
  return all.map(({ xNm, yNm, widthNm, heightNm }, index) => {
    const layer = Math.floor(index / needed.length) + 1;
    const id = `${role}-${layer}-${(index % needed.length) + 1}`;
    return { id, role, layer, sheetNumber: numbers[index] ?? 0, xNm, yNm, widthNm, heightNm };
  });
}

function courses({ area, profile }: SheetFace, sheet: SheetLayout["sheet"]): Rectangle[] {
  const cells: Rectangle[] = [];
  for (let yNm = area.yNm; yNm < top(area); yNm += sheet.heightNm) {
    for (let xNm = area.xNm; xNm < right(area); xNm += sheet.widthNm) {
      const cell = intersection({ xNm, yNm, ...sheet }, area);
      const trimmed = cell && profile ? trimmedTo(profile, cell) : cell;
      if (trimmed) cells.push(trimmed);
    }
  }
  return cells;
}

/** As high as the wall is over it; undefined where the wall does not reach it. */
function trimmedTo(profile: Profile, cell: Rectangle): Rectangle | undefined {
  const places = [
    cell.xNm,
    right(cell),
    ...profile.map((point) => point.xNm).filter((xNm) => xNm > cell.xNm && xNm < right(cell)),
  ];
  const highestNm = Math.max(...places.map((xNm) => heightAt(profile, xNm)));
  const heightNm = Math.min(top(cell), highestNm) - cell.yNm;
  return heightNm > 0 ? { ...cell, heightNm } : undefined;
}

/** Where openings take the whole width of a cell, what is left above and below are pieces of their own. */
function cutOutFullWidth(cell: Rectangle, openings: readonly Rectangle[]): Rectangle[] {
  if (!openings.some((opening) => overlaps(cell, opening))) return [cell];
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
