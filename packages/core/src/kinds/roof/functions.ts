import type { FunctionSignature } from "../../parts/functionSignature";
import { STUD_WALL_FUNCTIONS } from "../stud-wall/functions";

const OF_SHEETS: ReadonlySet<string> = new Set(["sheets", "cover", "sheetFixings"]);

/** What formulas can ask of the panels laid out on slopes: the same as of sheets on a wall. */
export const ROOF_FUNCTIONS: readonly FunctionSignature[] = STUD_WALL_FUNCTIONS.filter(({ name }) =>
  OF_SHEETS.has(name),
);
