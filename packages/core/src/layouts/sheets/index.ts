import type { SheetPiece } from "../../drawing/piece";
import type { Point } from "../../geometry";
import { intersection, overlaps, type Rectangle, right, top } from "../../geometry/rectangle";
import { heightAt, type Profile } from "../../kinds";
import type { Nanometres } from "../../units";
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

/** A piece on a face, with its corners where a sloped top cuts it. */
type Laid = Rectangle & { readonly points?: readonly Point[] | undefined };

/** A layout of sheets before it is said what they are: both faces of a wall may have the same. */
export type LaidOutSheets = {
  /** The pieces of one layer. */
  readonly layer: readonly Laid[];
  /** Which sheet each piece is cut from, layer by layer. */
  readonly numbers: readonly number[];
};

/** Sheets in courses from the lower left corner, cut at the edges and round openings; every layer alike. */
export function layoutSheets(face: SheetFace, { layers, sheet, leastOffcutNm }: SheetLayout): LaidOutSheets {
  const layer: Laid[] = [];
  for (const cell of courses(face, sheet)) {
    for (const piece of cutOutFullWidth(cell, face.openings))
      layer.push(face.profile ? cutTo(face.profile, piece) : piece);
  }
  const all: Rectangle[] = [];
  for (let count = 0; count < layers; count += 1) all.push(...layer);
  return { layer, numbers: nestPieces(all, sheet, leastOffcutNm) };
}

/** The pieces of a layout as what they are on this part. */
export function sheetPieces(role: string, { layer, numbers }: LaidOutSheets): SheetPiece[] {
  const pieces: SheetPiece[] = [];
  for (const [index, sheetNumber] of numbers.entries()) {
    const inLayer = index % layer.length;
    const place = layer[inLayer];
    if (!place) continue;
    const { xNm, yNm, widthNm, heightNm, points } = place;
    const number = (index - inLayer) / layer.length + 1;
    const id = `${role}-${number}-${inLayer + 1}`;
    pieces.push({ id, role, layer: number, sheetNumber, xNm, yNm, widthNm, heightNm, points });
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

/** The piece with its top cut to the wall's, where that runs through it. It is bought and nested as the rectangle. */
function cutTo(profile: Profile, piece: Rectangle): Laid {
  const topNm = (xNm: Nanometres) => Math.max(piece.yNm, Math.min(top(piece), heightAt(profile, xNm)));
  const places = [piece.xNm, ...breaksWithin(profile, piece), right(piece)];
  if (places.every((xNm) => topNm(xNm) === top(piece))) return piece;
  const foot = [
    { xNm: piece.xNm, yNm: piece.yNm },
    { xNm: right(piece), yNm: piece.yNm },
  ];
  return { ...piece, points: [...foot, ...places.toReversed().map((xNm) => ({ xNm, yNm: topNm(xNm) }))] };
}

/** Where the wall's top turns over a piece, or goes in or out of it through its upper or lower edge. */
function breaksWithin(profile: Profile, piece: Rectangle): Nanometres[] {
  const found: Nanometres[] = [];
  for (const [index, to] of profile.entries()) {
    const from = profile[index - 1];
    found.push(to.xNm);
    if (!from || from.yNm === to.yNm) continue;
    for (const edgeNm of [piece.yNm, top(piece)]) {
      const share = (edgeNm - from.yNm) / (to.yNm - from.yNm);
      if (share > 0 && share < 1) found.push(Math.round(from.xNm + share * (to.xNm - from.xNm)));
    }
  }
  return found.filter((xNm) => xNm > piece.xNm && xNm < right(piece)).toSorted((a, b) => a - b);
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
