import type { Assembly, Fastening } from "../../assemblies";
import type { FramingPiece, SheetPiece } from "../../layouts";
import type { StudWall } from "../../parts";
import { formatSpacing, type MeasuringSystem, type Nanometres, piecesAtSpacing, spacesIn } from "../../units";
import type { CountLine, Working } from "../countLine";

/** Nails that one piece takes under a fastening. */
export function nailsInPiece({ method }: Fastening, lengthNm: Nanometres): number {
  if (method.by === "end") return 2 * method.nails;
  return method.rows * piecesAtSpacing(lengthNm, method.spacingNm);
}

/**
 * Nails in one piece of sheet: round its edges at the edge spacing, and up each support inside it at the field spacing.
 * A 4 x 8 ft sheet on studs at 16 in, nailed 6 in and 12 in: 48 + 2 x 7 = 62.
 */
export function nailsInSheet(
  sheet: { readonly widthNm: Nanometres; readonly heightNm: Nanometres },
  supportsInside: number,
  spacing: { readonly edgeSpacingNm: Nanometres; readonly fieldSpacingNm: Nanometres },
): number {
  const edge = spacesIn(2 * (sheet.widthNm + sheet.heightNm), spacing.edgeSpacingNm);
  return edge + supportsInside * Math.max(0, spacesIn(sheet.heightNm, spacing.fieldSpacingNm) - 1);
}

type Nails = {
  readonly key: string;
  readonly joint: string;
  readonly itemCode: string;
  readonly quantity: number;
  readonly pieceIds: readonly string[];
  readonly working: Working;
};

const nailLine = (wall: StudWall, { key, joint, itemCode, quantity, pieceIds, working }: Nails): CountLine => ({
  id: `${wall.id}/nails/${key}`,
  partId: wall.id,
  partName: wall.name,
  trade: "Fixings",
  description: joint,
  itemCode,
  quantity,
  unit: "nail",
  cutLengthsNm: [],
  pieceIds,
  working,
});

/** One line for each joint of the schedule that the wall has. */
export function fixingLines(
  wall: StudWall,
  pieces: readonly FramingPiece[],
  assembly: Assembly,
  system: MeasuringSystem,
): CountLine[] {
  return assembly.fastenings.flatMap((fastening) => {
    const fastened = pieces.filter((piece) => fastening.roles.includes(piece.role));
    if (fastened.length === 0) return [];
    const quantity = fastened.reduce((sum, piece) => sum + nailsInPiece(fastening, piece.cutLengthNm), 0);
    const { formula, withNumbers } = fixingFormula(fastening, fastened.length, quantity, system);
    const working: Working = {
      sentence: `${fastening.joint}: ${methodText(fastening, system)}.`,
      formula,
      withNumbers,
      steps: [{ label: "pieces fastened this way", value: String(fastened.length) }],
      from: [],
      source: fastening.source,
    };
    const pieceIds = fastened.map((piece) => piece.id);
    const { id: key, joint, itemCode } = fastening;
    return [nailLine(wall, { key, joint, itemCode, quantity, pieceIds, working })];
  });
}

function methodText({ method }: Fastening, system: MeasuringSystem): string {
  if (method.by === "end") return `${method.nails} at each end`;
  const rows = method.rows === 1 ? "one row" : `${method.rows} rows`;
  return `${rows} at ${formatSpacing(method.spacingNm, system)}`;
}

function fixingFormula({ method }: Fastening, count: number, quantity: number, system: MeasuringSystem) {
  if (method.by === "end") {
    return { formula: "pieces × 2 ends × nails", withNumbers: `${count} × 2 × ${method.nails} = ${quantity}` };
  }
  const spacing = formatSpacing(method.spacingNm, system);
  return {
    formula: "rows × (round up(length ÷ spacing) + 1), added up over the pieces",
    withNumbers: `${method.rows} × (round up(length ÷ ${spacing}) + 1) over ${count} pieces = ${quantity}`,
  };
}

/** Nails for the sheathing as placed: each piece by its own edges and the studs behind it. */
export function sheetNailLine(
  wall: StudWall,
  sheets: readonly SheetPiece[],
  layoutCentresNm: readonly Nanometres[],
  assembly: Assembly,
  system: MeasuringSystem,
): CountLine {
  const rule = assembly.sheathing;
  const supportsIn = (sheet: SheetPiece) =>
    layoutCentresNm.filter((centreNm) => centreNm > sheet.xNm && centreNm < sheet.xNm + sheet.widthNm).length;
  const nails = sheets.map((sheet) => nailsInSheet(sheet, supportsIn(sheet), rule));
  const quantity = nails.reduce((sum, count) => sum + count, 0);
  const edge = formatSpacing(rule.edgeSpacingNm, system);
  const field = formatSpacing(rule.fieldSpacingNm, system);
  const working: Working = {
    sentence: `${edge} apart round the edges of each piece, ${field} apart on the studs inside it.`,
    formula: "edge length ÷ edge spacing + studs inside × (height ÷ field spacing − 1), each rounded up",
    withNumbers: `${nails.join(" + ")} = ${quantity}`,
    steps: [{ label: "placed pieces of sheet", value: String(sheets.length) }],
    from: [{ path: "parameters.sheathed", label: "Sheathing outside" }],
    source: rule.source,
  };
  const pieceIds = sheets.map((sheet) => sheet.id);
  return nailLine(wall, {
    key: "sheathing",
    joint: "Sheathing to studs",
    itemCode: rule.nailCode,
    quantity,
    pieceIds,
    working,
  });
}
