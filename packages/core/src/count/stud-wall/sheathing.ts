import type { Assembly } from "../../assemblies";
import type { SheetPiece } from "../../layouts";
import { grossAreaOf, netAreaOf, type StudWall, type WorkingStep } from "../../parts";
import { areaOf, formatArea, formatLength, type MeasuringSystem, wholePacks } from "../../units";
import type { CountLine } from "../countLine";

/** Sheets to buy for the placed pieces, with the area method beside it as a check. */
export function sheathingLine(
  wall: StudWall,
  sheets: readonly SheetPiece[],
  assembly: Assembly,
  system: MeasuringSystem,
): CountLine {
  const rule = assembly.sheathing;
  const quantity = new Set(sheets.map((sheet) => sheet.sheetNumber)).size;
  const task = assembly.labourTasks.sheet;
  const size = `${formatLength(rule.widthNm, system)} × ${formatLength(rule.heightNm, system)}`;
  return {
    id: `${wall.id}/sheet`,
    partId: wall.id,
    partName: wall.name,
    trade: "Sheathing",
    description: `Sheathing, ${size}`,
    itemCode: rule.itemCode,
    quantity,
    unit: "sheet",
    cutLengthsNm: [],
    pieceIds: sheets.map((sheet) => sheet.id),
    ...(task ? { labourTask: task } : {}),
    working: {
      sentence:
        "Sheets stand upright in courses from the lower left corner, cut at openings; offcuts are used before a new sheet is opened.",
      formula: "sheets that the placed pieces are cut from",
      withNumbers: `${sheets.length} placed pieces out of ${quantity} sheets`,
      steps: [
        ...areaSteps(wall, areaOf(rule.widthNm, rule.heightNm), system),
        { label: "as laid out", value: String(quantity) },
      ],
      from: [
        { path: "length", label: "Length" },
        { path: "height", label: "Height" },
        { path: "parameters.sheathed", label: "Sheathing outside" },
      ],
    },
  };
}

function areaSteps(wall: StudWall, sheetArea: number, system: MeasuringSystem): WorkingStep[] {
  const step = (name: string, area: number): WorkingStep => ({
    label: `by ${name} area, ${formatArea(area, system)} ÷ ${formatArea(sheetArea, system)}, rounded up`,
    value: String(wholePacks(area, sheetArea)),
  });
  return [step("net", netAreaOf(wall)), step("gross", grossAreaOf(wall))];
}
