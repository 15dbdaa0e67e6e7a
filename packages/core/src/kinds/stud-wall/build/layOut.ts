import type { Assembly } from "../../../assemblies";
import type { FramingPiece, HardwarePiece, SheetPiece } from "../../../drawing/piece";
import type { Layout, Site } from "../../../layouts";
import { problem } from "../../../problems/problem";
import { ownValue } from "../../../records/ownValue";
import { type Nanometres, NM_PER_M } from "../../../units";
import { ALONE, framingOf, profileOf, SHEET_ROLES, type StudWall, studWallKind } from "../..";
import { type LaidSheets, wallAnswers } from "./answers";
import { framingWorking } from "./framingWorking";
import { layoutStudWall } from "./index";
import { framingChoices, settledFraming } from "./settledFraming";
import { laidSheets, m2, sheetsOf, sheetWorking } from "./sheets";
import { tooManyPieces } from "./tooManyPieces";
import { wallWords } from "./words";

/** Lays out one stud wall. Without framing rules there is nothing to lay out. */
export function layOutStudWall(wall: StudWall, assembly: Assembly, { library, context }: Site): Layout {
  const framing = framingOf(wall, context.system);
  const shared = {
    choices: framingChoices(framing),
    reckoned: false,
    repeats: wall.repeats,
    words: wallWords(wall, framing),
  };
  const drawn = () => studWallKind.draw(wall, context, ALONE);
  const sheetSize = (sizeId: string) => ownValue(library.sheets, sizeId);
  if (!assembly.framing) {
    const message = `“${assembly.name}” has no rules for laying out a frame.`;
    const problems = [problem("no-framing", "assembly", message)];
    const laid = { ...laidOutOf(wall, [], [], [], []), sheetSize };
    return { ...shared, pieces: [], draw: drawn, laid, workingOf: () => undefined, problems };
  }
  const tooMany = tooManyPieces(wall, framing, assembly.framing);
  if (tooMany) {
    const laid = { ...laidOutOf(wall, [], [], [], []), sheetSize };
    return { ...shared, pieces: [], draw: drawn, laid, workingOf: () => undefined, problems: [tooMany] };
  }
  const { longestPlate, sheetOf } = settledFraming(wall, framing, assembly, library);
  const laidOut = layoutStudWall(wall, assembly.framing, context, longestPlate);
  const sheets = sheetsOf(wall, framing, assembly, library.sheets, sheetOf);
  const { pieces, hardware, tally } = laidOut;
  return {
    ...shared,
    pieces: [...sheets.pieces, ...pieces, ...hardware],
    // Sheets lie behind the timber; a placed piece is drawn as it is.
    draw: () => {
      const drawing = drawn();
      return { ...drawing, rectangles: [...drawing.rectangles, ...sheets.pieces, ...pieces, ...hardware] };
    },
    laid: { ...laidOutOf(wall, pieces, hardware, sheets.pieces, laidOut.layoutCentresNm), sheetSize },
    workingOf: (role, sectionId) =>
      framingWorking(role, sectionId, { pieces, wall, tally, assembly, context, longestPlate }) ??
      sheetWorking(role, sheets.pieces, context),
    problems: [...laidOut.problems, ...sheets.problems],
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
) {
  const lengths = new Map<string, Nanometres[]>();
  const note = (role: string, lengthNm: Nanometres) => {
    const known = lengths.get(role);
    if (known) known.push(lengthNm);
    else lengths.set(role, [lengthNm]);
  };
  for (const piece of framing) note(piece.role, piece.cutLengthNm);
  for (const piece of hardware) note(piece.role, piece.heightNm);
  const laid = new Map<string, LaidSheets | undefined>();
  for (const role of SHEET_ROLES) {
    const ofRole = sheets.filter((sheet) => sheet.role === role);
    laid.set(role, laidSheets(ofRole, supportsNm));
  }
  return {
    lengthsNm: (role: string) => lengths.get(role) ?? [],
    ask: wallAnswers({
      sheets: (role) => laid.get(role),
      frameM2: framing.reduce((sum, piece) => sum + faceOf(piece), 0),
      profile: profileOf(wall),
    }),
  };
}
