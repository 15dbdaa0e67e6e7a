import { type Assembly, fixingsInSheet, type SheetBook } from "../../../assemblies";
import { type LaidOutSheets, layoutSheets, type SheetPiece, sheetPieces } from "../../../layouts";
import type { RoleWorking } from "../../../layouts/layout";
import { type Problem, problem } from "../../../problems/problem";
import { ownValue } from "../../../records/ownValue";
import { areaOf, formatLength, type Nanometres, soMany } from "../../../units";
import {
  type FramingChoices,
  openingRectangle,
  type PartContext,
  profileOf,
  type SheetRole,
  type StudWall,
  studWallKind,
} from "../..";
import type { LaidSheets } from "./answers";

export const m2 = (piece: { widthNm: Nanometres; heightNm: Nanometres }): number =>
  areaOf(piece.widthNm, piece.heightNm);

type SheetsWanted = { readonly role: SheetRole; readonly layers: number; readonly rule: "sheathing" | "boards" };

/** Sheathing and boards of a wall; faces with the same boards are laid out once. */
export function sheetsOf(
  wall: StudWall,
  framing: FramingChoices,
  assembly: Assembly,
  book: SheetBook,
  sheetOf: (parameter: string) => string,
): { pieces: SheetPiece[]; problems: Problem[] } {
  const { sheathed, boardsNear, boardsFar } = framing;
  const wanted: SheetsWanted[] = [
    { role: "sheathing", layers: sheathed ? 1 : 0, rule: "sheathing" },
    { role: "board-near", layers: boardsNear, rule: "boards" },
    { role: "board-far", layers: boardsFar, rule: "boards" },
  ];
  const face = {
    area: studWallKind.outline(wall),
    openings: wall.openings.map(openingRectangle),
    ...(wall.shape.how === "level" ? {} : { profile: profileOf(wall) }),
  };
  const pieces: SheetPiece[] = [];
  const problems: Problem[] = [];
  const boards = new Map<number, LaidOutSheets>();
  for (const { role, layers, rule } of wanted) {
    const sheetRule = assembly.framing?.[rule];
    if (layers === 0 || !sheetRule) continue;
    const sizeId = sheetOf(sheetRule.size);
    const size = ownValue(book, sizeId);
    if (!size) {
      const message = `There is no sheet “${sizeId}” in the library.`;
      problems.push(problem("unknown-sheet", `choices.${sheetRule.size}`, message));
      continue;
    }
    const lies = sheetRule.direction === "lying";
    const sheet = lies
      ? { widthNm: size.heightNm, heightNm: size.widthNm }
      : { widthNm: size.widthNm, heightNm: size.heightNm };
    const before = rule === "boards" ? boards.get(layers) : undefined;
    const laid = before ?? layoutSheets(face, { layers, sheet, leastOffcutNm: sheetRule.leastOffcutNm });
    if (rule === "boards") boards.set(layers, laid);
    pieces.push(...sheetPieces(role, laid));
  }
  return { pieces, problems };
}

/** What formulas can say of the sheets of one role. Supports are centres of what they are fixed to inside their edges. */
export function laidSheets(pieces: readonly SheetPiece[], supportsNm: readonly Nanometres[]): LaidSheets | undefined {
  if (pieces.length === 0) return undefined;
  const sheets = new Set<number>();
  let coverM2 = 0;
  for (const piece of pieces) {
    sheets.add(piece.sheetNumber);
    coverM2 += m2(piece);
  }
  return {
    bought: sheets.size,
    coverM2,
    fixings: (edgeNm, fieldNm) => {
      let count = 0;
      for (const piece of pieces) count += fixingsInSheet(piece, supportsIn(piece, supportsNm), edgeNm, fieldNm);
      return count;
    },
  };
}

function supportsIn({ xNm, widthNm }: SheetPiece, supportsNm: readonly Nanometres[]): number {
  let count = 0;
  for (const centreNm of supportsNm) if (centreNm > xNm && centreNm < xNm + widthNm) count += 1;
  return count;
}

/** How many sheets, by the sizes of the pieces that are cut from them; undefined for what is no sheet of this wall. */
export function sheetWorking(
  role: string,
  pieces: readonly SheetPiece[],
  { system }: PartContext,
): RoleWorking | undefined {
  const own = pieces.filter((piece) => piece.role === role);
  if (own.length === 0) return undefined;
  const sizes = new Map<string, number>();
  for (const { widthNm, heightNm } of own) {
    const size = `${formatLength(widthNm, system)} × ${formatLength(heightNm, system)}`;
    sizes.set(size, (sizes.get(size) ?? 0) + 1);
  }
  const bought = new Set(own.map((piece) => piece.sheetNumber)).size;
  return {
    formula: "pieces laid in courses, cut from whole sheets and their offcuts",
    withNumbers: `${own.length} pieces out of ${soMany(bought, "sheet", "sheets")}`,
    steps: [...sizes].map(([size, count]) => ({ label: `pieces of ${size}`, value: String(count) })),
    from: [],
  };
}
