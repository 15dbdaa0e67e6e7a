import type { ElevationDrawing } from "../../drawing/drawing";
import type { PartKind } from "../../parts/partKind";
import { drawWall, wallOutline } from "../../wall/draw";
import { wallMeasures } from "../../wall/measures";
import { WALL_QUANTITIES, WALL_ROWS, wallQuantities, wallRows } from "../../wall/quantities";
import { acrossStudWall } from "./across";
import { allowanceOf } from "./allowances";
import { besideWhatLies, framedOnPlan } from "./besideWhatLies";
import { studWallDefaults } from "./defaults";
import { framedOpenings, studWallDimensions, studWallFigures } from "./figures";
import { studThicknessNm } from "./fit";
import { STUD_WALL_FUNCTIONS } from "./functions";
import { studWallMigrations } from "./migrations";
import { studWallOpenPoints } from "./openPoints";
import { studWallProblems } from "./problems";
import { STUD_WALL_ROLES } from "./roles";
import { type StudWall, studWallSchema } from "./schema";
import { framingSlot } from "./slot";

export const studWallKind: PartKind<StudWall, ElevationDrawing> = {
  kind: "stud-wall",
  label: "Stud wall",
  plural: "Stud walls",
  order: 1,
  schema: studWallSchema,
  migrations: studWallMigrations,
  defaults: studWallDefaults,
  measures: (wall, context) => wallMeasures(framedOpenings(wall, context), context),
  quantityNames: WALL_QUANTITIES,
  quantities: wallQuantities,
  rows: WALL_ROWS,
  rowsOf: wallRows,
  roles: STUD_WALL_ROLES,
  functions: STUD_WALL_FUNCTIONS,
  slot: framingSlot(),
  // Two jambs, each of a king and two jacks at most.
  wall: {
    words: "in studs",
    allowanceOf,
    besideOpeningNm: (wall, context) => 3 * studThicknessNm(wall, context),
  },
  waits: (wall) => wall.length.valueNm === null,
  placed: framedOpenings,
  outline: wallOutline,
  draw: (wall, context) => drawWall(framedOpenings(wall, context), context),
  depthOf: acrossStudWall,
  problems: (wall, context) => studWallProblems(framedOpenings(wall, context), context),
  openPoints: studWallOpenPoints,
  dimensions: studWallDimensions,
  ...studWallFigures,
  asBuilt: framedOnPlan,
  besideWhatLies,
  nameOfItem: (wall, id) => wall.openings.find((each) => each.id === id)?.name,
  withReferences: (wall, renamed) =>
    wall.plan ? { ...wall, plan: { ...wall.plan, roomId: renamed(wall.plan.roomId) } } : wall,
};

export { unitAllowance } from "./allowances";
export { INSIDE_WALL, OUTSIDE_WALL } from "./besideWhatLies";
export * from "./choiceWords";
export * from "./defaults";
export { framedOpenings } from "./figures";
export * from "./fit";
export * from "./parameters";
export * from "./roles";
export * from "./schema";
export { framingOf } from "./slot";
