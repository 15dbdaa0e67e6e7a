import { type Assembly, assemblyFor, type Library, partContext } from "../../assemblies";
import { layoutSheets, layoutStudWall, type SheetPiece } from "../../layouts";
import { ALONE, openingRectangle, type PartContext, type StudWall, studWallKind } from "../../parts";
import type { MeasuringSystem } from "../../units";
import type { CountLine } from "../countLine";
import type { PartCount } from "../partCount";
import { fixingLines, sheetNailLine } from "./fixings";
import { framingLines } from "./framing";
import { sheathingLine } from "./sheathing";

/** Counts one stud wall: lays it out and turns the pieces into lines. Never throws for what a person typed. */
export function countStudWall(wall: StudWall, system: MeasuringSystem, library: Library): PartCount {
  const context = partContext(system, library);
  const problems = studWallKind.problems(wall, context);
  const drawing = studWallKind.draw(wall, context, ALONE);
  const openPoints = studWallKind.openPoints(wall, context);
  const waits = wall.length.valueNm === null;
  const named = { partId: wall.id, partName: wall.name, waits, openPoints };
  if (problems.length > 0 || waits) return { ...named, lines: [], pieces: [], drawing, problems };

  const assembly = assemblyFor(wall, system, library);
  const framing = layoutStudWall(wall, assembly, context);
  const sheets = wall.parameters.sheathed.value ? sheetsOf(wall, assembly) : [];
  return {
    ...named,
    lines: [
      ...framingLines(wall, framing.pieces, framing.tally, assembly, context),
      ...sheetLines(wall, sheets, framing.layoutCentresNm, assembly, context),
      ...fixingLines(wall, framing.pieces, assembly, system),
    ],
    pieces: [...framing.pieces, ...sheets],
    // Sheets lie behind the timber; a placed piece is drawn as it is.
    drawing: { ...drawing, rectangles: [...drawing.rectangles, ...sheets, ...framing.pieces] },
    problems: framing.problems,
  };
}

const sheetsOf = (wall: StudWall, assembly: Assembly): SheetPiece[] =>
  layoutSheets(studWallKind.outline(wall), wall.openings.map(openingRectangle), assembly.sheathing);

function sheetLines(
  wall: StudWall,
  sheets: readonly SheetPiece[],
  centresNm: readonly number[],
  assembly: Assembly,
  { system }: PartContext,
): CountLine[] {
  if (sheets.length === 0) return [];
  return [sheathingLine(wall, sheets, assembly, system), sheetNailLine(wall, sheets, centresNm, assembly, system)];
}
