import type { Assembly, LaidOut, LaidSheets, Library, SheetBook } from "../../assemblies";
import {
  type FramingPiece,
  type HardwarePiece,
  layoutSheets,
  layoutStudWall,
  type SheetPiece,
  type StudWallLayout,
} from "../../layouts";
import {
  ALONE,
  openingRectangle,
  type PartContext,
  type PieceRole,
  profileOf,
  SHEET_ROLES,
  type SheetRole,
  type StudWall,
  studWallKind,
} from "../../parts";
import { type Problem, problem } from "../../problems/problem";
import { areaOf, type Nanometres, NM_PER_M, spacesIn } from "../../units";
import { framingChoices } from "../framingChoices";
import type { LaidPart } from "../laidPart";
import { framingWorking } from "./framing";
import { wallWords } from "./words";

/**
 * Fixings in one piece of sheet: round its edges at the edge spacing, and up each support inside it at the field spacing.
 * A 4 x 8 ft sheet on studs at 16 in, nailed 6 in and 12 in: 48 + 2 x 7 = 62.
 */
export function fixingsInSheet(
  sheet: { readonly widthNm: Nanometres; readonly heightNm: Nanometres },
  supportsInside: number,
  edgeNm: Nanometres,
  fieldNm: Nanometres,
): number {
  const edge = spacesIn(2 * (sheet.widthNm + sheet.heightNm), edgeNm);
  return edge + supportsInside * Math.max(0, spacesIn(sheet.heightNm, fieldNm) - 1);
}

/** Lays out one stud wall. It must be measured and free of problems. Without framing rules there is nothing to lay out. */
export function layOutStudWall(wall: StudWall, assembly: Assembly, library: Library, context: PartContext): LaidPart {
  const drawing = studWallKind.draw(wall, context, ALONE);
  const choices = framingChoices(wall.parameters);
  const shared = { choices, reckoned: false, repeats: wall.repeats, words: wallWords(wall) };
  if (!assembly.framing) {
    const message = `“${assembly.name}” has no rules for laying out a frame.`;
    const problems = [problem("no-framing", "assembly", message)];
    return {
      ...shared,
      pieces: [],
      drawing,
      laid: laidOutOf([], [], [], [], library.sheets),
      workingOf: () => undefined,
      problems,
    };
  }
  const framing = layoutStudWall(wall, assembly.framing, context);
  const sheets = sheetsOf(wall, assembly, library.sheets);
  const { pieces, hardware, tally } = framing;
  return {
    ...shared,
    pieces: [...sheets.pieces, ...pieces, ...hardware],
    // Sheets lie behind the timber; a placed piece is drawn as it is.
    drawing: { ...drawing, rectangles: [...drawing.rectangles, ...sheets.pieces, ...pieces, ...hardware] },
    laid: laidOutOf(pieces, hardware, sheets.pieces, supportsOf(framing), library.sheets),
    workingOf: (role, sectionId) => framingWorking(role, sectionId, { pieces, wall, tally, assembly, context }),
    problems: [...framing.problems, ...sheets.problems],
  };
}

type SheetsWanted = { readonly role: SheetRole; readonly layers: number; readonly rule: "sheathing" | "boards" };

function sheetsOf(wall: StudWall, assembly: Assembly, book: SheetBook): { pieces: SheetPiece[]; problems: Problem[] } {
  const { sheathed, boardsNear, boardsFar } = wall.parameters;
  const wanted: SheetsWanted[] = [
    { role: "sheathing", layers: sheathed.value ? 1 : 0, rule: "sheathing" },
    { role: "board-near", layers: boardsNear.value, rule: "boards" },
    { role: "board-far", layers: boardsFar.value, rule: "boards" },
  ];
  const pieces: SheetPiece[] = [];
  const problems: Problem[] = [];
  for (const { role, layers, rule } of wanted) {
    const sheetRule = assembly.framing?.[rule];
    if (layers === 0 || !sheetRule) continue;
    const sizeId = String(wall.choices[sheetRule.size] ?? parameterDefault(assembly, sheetRule.size));
    const size = book[sizeId];
    if (!size) {
      problems.push(
        problem("unknown-sheet", `choices.${sheetRule.size}`, `There is no sheet “${sizeId}” in the library.`),
      );
      continue;
    }
    const lies = sheetRule.direction === "lying";
    const sheet = lies
      ? { widthNm: size.heightNm, heightNm: size.widthNm }
      : { widthNm: size.widthNm, heightNm: size.heightNm };
    const face = {
      area: studWallKind.outline(wall),
      openings: wall.openings.map(openingRectangle),
      ...(wall.shape.how === "level" ? {} : { profile: profileOf(wall) }),
    };
    pieces.push(...layoutSheets(face, { role, layers, sheet, leastOffcutNm: sheetRule.leastOffcutNm }));
  }
  return { pieces, problems };
}

const parameterDefault = (assembly: Assembly, name: string) =>
  assembly.parameters.find((each) => each.name === name)?.default ?? "";

/** Centres of what sheets are fixed to between their edges. */
const supportsOf = ({ layoutCentresNm }: StudWallLayout): readonly Nanometres[] => layoutCentresNm;

const m2 = (piece: { widthNm: Nanometres; heightNm: Nanometres }): number => areaOf(piece.widthNm, piece.heightNm);

/** Face of a stick: along a slope, its length by its thickness. */
const faceOf = (piece: FramingPiece): number =>
  piece.behind !== undefined
    ? 0
    : piece.angleDegrees === undefined
      ? m2(piece)
      : (piece.cutLengthNm / NM_PER_M) * slopedThickness(piece);

/** Upright thickness of a sloped piece times the cosine is what it lies. */
function slopedThickness({ points, angleDegrees = 0 }: FramingPiece): number {
  const [low, , , high] = points ?? [];
  if (!low || !high) return 0;
  return ((high.yNm - low.yNm) / NM_PER_M) * Math.cos((angleDegrees * Math.PI) / 180);
}

function laidOutOf(
  framing: readonly FramingPiece[],
  hardware: readonly HardwarePiece[],
  sheets: readonly SheetPiece[],
  supportsNm: readonly Nanometres[],
  book: SheetBook,
): LaidOut {
  const lengths = new Map<PieceRole, Nanometres[]>();
  const note = (role: PieceRole, lengthNm: Nanometres) => {
    const known = lengths.get(role);
    if (known) known.push(lengthNm);
    else lengths.set(role, [lengthNm]);
  };
  for (const piece of framing) note(piece.role, piece.cutLengthNm);
  for (const piece of hardware) note(piece.role, piece.heightNm);
  const bySheetRole = new Map(SHEET_ROLES.map((role) => [role, sheets.filter((sheet) => sheet.role === role)]));
  return {
    lengthsNm: (role) => lengths.get(role) ?? [],
    sheets: (role) => laidSheets(bySheetRole.get(role) ?? [], supportsNm),
    frameM2: framing.reduce((sum, piece) => sum + faceOf(piece), 0),
    sheetCoverM2: (sizeId) => {
      const size = book[sizeId];
      return size && m2(size);
    },
  };
}

function laidSheets(pieces: readonly SheetPiece[], supportsNm: readonly Nanometres[]): LaidSheets | undefined {
  if (pieces.length === 0) return undefined;
  const supportsIn = (sheet: SheetPiece) =>
    supportsNm.filter((centreNm) => centreNm > sheet.xNm && centreNm < sheet.xNm + sheet.widthNm).length;
  return {
    bought: new Set(pieces.map((piece) => piece.sheetNumber)).size,
    coverM2: pieces.reduce((sum, piece) => sum + m2(piece), 0),
    fixings: (edgeNm, fieldNm) =>
      pieces.reduce((sum, piece) => sum + fixingsInSheet(piece, supportsIn(piece), edgeNm, fieldNm), 0),
  };
}
