import type { Assembly, LaidOut, LaidSheets, Library, SheetBook } from "../../assemblies";
import { type FramingPiece, type HardwarePiece, lappedCourses, layoutStudWall, type SheetPiece } from "../../layouts";
import {
  ALONE,
  type PartContext,
  type PieceRole,
  profileOf,
  SHEET_ROLES,
  type SheetRole,
  type StudWall,
  studWallKind,
} from "../../parts";
import { problem } from "../../problems/problem";
import { ownValue } from "../../records/ownValue";
import { type Nanometres, NM_PER_M } from "../../units";
import { framingChoices, settledChoices } from "../framingChoices";
import type { LaidPart } from "../laidPart";
import { tooManyPieces } from "../tooManyPieces";
import { framingWorking } from "./framing";
import { laidSheets, m2, sheetsOf, sheetWorking } from "./sheets";
import { wallWords } from "./words";

export { boardWords } from "./words";

/** Lays out one stud wall. It must be measured and free of problems. Without framing rules there is nothing to lay out. */
export function layOutStudWall(wall: StudWall, assembly: Assembly, library: Library, context: PartContext): LaidPart {
  const choices = framingChoices(wall.parameters);
  const { longestPlate, sheetOf } = settledChoices(wall, assembly, library);
  const shared = { choices, reckoned: false, repeats: wall.repeats, words: wallWords(wall) };
  if (!assembly.framing) {
    const message = `“${assembly.name}” has no rules for laying out a frame.`;
    const problems = [problem("no-framing", "assembly", message)];
    return {
      ...shared,
      pieces: [],
      draw: () => studWallKind.draw(wall, context, ALONE),
      laid: laidOutOf(wall, [], [], [], [], library.sheets),
      workingOf: () => undefined,
      problems,
    };
  }
  const tooMany = tooManyPieces(wall, assembly.framing);
  if (tooMany) {
    const draw = () => studWallKind.draw(wall, context, ALONE);
    const laid = laidOutOf(wall, [], [], [], [], library.sheets);
    return { ...shared, pieces: [], draw, laid, workingOf: () => undefined, problems: [tooMany] };
  }
  const framing = layoutStudWall(wall, assembly.framing, context, longestPlate);
  const sheets = sheetsOf(wall, assembly, library.sheets, sheetOf);
  const { pieces, hardware, tally } = framing;
  return {
    ...shared,
    pieces: [...sheets.pieces, ...pieces, ...hardware],
    // Sheets lie behind the timber; a placed piece is drawn as it is.
    draw: () => {
      const drawing = studWallKind.draw(wall, context, ALONE);
      return { ...drawing, rectangles: [...drawing.rectangles, ...sheets.pieces, ...pieces, ...hardware] };
    },
    laid: laidOutOf(wall, pieces, hardware, sheets.pieces, framing.layoutCentresNm, library.sheets),
    workingOf: (role, sectionId) =>
      framingWorking(role, sectionId, { pieces, wall, tally, assembly, context, longestPlate }) ??
      sheetWorking(role, sheets.pieces, context),
    problems: [...framing.problems, ...sheets.problems],
  };
}

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
  wall: StudWall,
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
  const laid = new Map<SheetRole, LaidSheets | undefined>();
  for (const role of SHEET_ROLES) {
    const ofRole = sheets.filter((sheet) => sheet.role === role);
    laid.set(role, laidSheets(ofRole, supportsNm));
  }
  return {
    lengthsNm: (role) => lengths.get(role) ?? [],
    sheets: (role) => laid.get(role),
    frameM2: framing.reduce((sum, piece) => sum + faceOf(piece), 0),
    sheetSize: (sizeId) => ownValue(book, sizeId),
    lappedM2: (widthNm, lapNm) => lappedCourses(profileOf(wall), widthNm, lapNm),
  };
}
