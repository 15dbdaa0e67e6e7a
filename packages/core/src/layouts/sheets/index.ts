import type { SheetPiece } from "../../drawing/piece";
import { intersection, overlaps, type Rectangle, right, top } from "../../geometry/rectangle";
import type { Nanometres } from "../../units";
import { type CutPiece, cutToProfile, heightAt, type Profile } from "../../wall";
import { nestPieces } from "./nest";

export { nestPieces } from "./nest";

/** A face to cover: its outline, its top where that is not level, and the openings in it. */
export type SheetFace = {
  readonly area: Rectangle;
  readonly profile?: Profile;
  readonly openings: readonly Rectangle[];
};

export type SheetLayout = {
  readonly layers: number;
  /** As laid: a sheet that lies has its longer side along. */
  readonly sheet: { readonly widthNm: Nanometres; readonly heightNm: Nanometres };
  /** Offcuts smaller than this either way are waste. */
  readonly leastOffcutNm: Nanometres;
};

/** A layout of sheets before it is said what they are: both faces of a wall may have the same. */
export type LaidOutSheets = {
  /** The pieces of one layer. */
  readonly layer: readonly CutPiece[];
  /** Which sheet each piece is cut from, layer by layer. */
  readonly numbers: readonly number[];
  /** What they are cut from. */
  readonly sheet: SheetPiece["sheet"];
};

/** Sheets in courses from the lower left corner, cut at the edges and round openings; every layer alike. */
export function layoutSheets(face: SheetFace, { layers, sheet, leastOffcutNm }: SheetLayout): LaidOutSheets {
  const layer: CutPiece[] = [];
  for (const cell of courses(face, sheet)) {
    for (const piece of cutOutFullWidth(cell, face.openings))
      layer.push(face.profile ? cutToProfile(face.profile, piece) : piece);
  }
  const all: Rectangle[] = [];
  for (let count = 0; count < layers; count += 1) all.push(...layer);
  return { layer, numbers: nestPieces(all, sheet, leastOffcutNm), sheet: { ...sheet, leastOffcutNm } };
}

/** The pieces of a layout as what they are on this part. */
export function sheetPieces(role: string, { layer, numbers, sheet }: LaidOutSheets): SheetPiece[] {
  const pieces: SheetPiece[] = [];
  for (const [index, sheetNumber] of numbers.entries()) {
    const inLayer = index % layer.length;
    const place = layer[inLayer];
    if (!place) continue;
    const { xNm, yNm, widthNm, heightNm, points } = place;
    const number = (index - inLayer) / layer.length + 1;
    const id = `${role}-${number}-${inLayer + 1}`;
    pieces.push({ id, role, layer: number, sheet, sheetNumber, xNm, yNm, widthNm, heightNm, points });
  }
  return pieces;
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
