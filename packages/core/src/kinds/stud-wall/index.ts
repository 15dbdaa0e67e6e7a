import type { ElevationDrawing } from "../../drawing/drawing";
import type { PartKind } from "../partKind";
import { acrossStudWall } from "./across";
import { besideWhatLies } from "./besideWhatLies";
import { studWallDefaults } from "./defaults";
import { studWallDimensions, withDimension, withRefused } from "./dimensions";
import { drawStudWall, studWallOutline } from "./draw";
import { STUD_WALL_FUNCTIONS } from "./functions";
import { studWallMeasures } from "./measures";
import { studWallMigrations } from "./migrations";
import { settleOpenings } from "./openings";
import { studWallOpenPoints } from "./openPoints";
import { studWallProblems } from "./problems";
import { studWallQuantities, WALL_QUANTITIES } from "./quantities";
import { STUD_WALL_ROLES } from "./roles";
import { type StudWall, studWallSchema } from "./schema";
import { framingSlot } from "./slot";

export const studWallKind: PartKind<StudWall, ElevationDrawing> = {
  kind: "stud-wall",
  label: "Stud wall",
  schema: studWallSchema,
  migrations: studWallMigrations,
  defaults: studWallDefaults,
  measures: (wall, context) => studWallMeasures(settleOpenings(wall), context),
  order: 1,
  roles: STUD_WALL_ROLES,
  functions: STUD_WALL_FUNCTIONS,
  slot: framingSlot(),
  waits: (wall) => wall.length.valueNm === null,
  placed: settleOpenings,
  across: acrossStudWall,
  besideWhatLies,
  nameOfItem: (wall, id) => wall.openings.find((each) => each.id === id)?.name,
  quantityNames: WALL_QUANTITIES,
  quantities: (wall) => studWallQuantities(settleOpenings(wall)),
  outline: studWallOutline,
  draw: (wall, context) => drawStudWall(settleOpenings(wall), context),
  problems: (wall, context) => studWallProblems(settleOpenings(wall), context),
  openPoints: studWallOpenPoints,
  dimensions: studWallDimensions,
  withDimension,
  withRefused,
  withReferences: (wall, renamed) =>
    wall.plan ? { ...wall, plan: { ...wall.plan, roomId: renamed(wall.plan.roomId) } } : wall,
};

export { INSIDE_WALL, OUTSIDE_WALL } from "./besideWhatLies";
export * from "./defaults";
export { openingRectangle } from "./draw";
export * from "./fit";
export * from "./measures";
export { measuredOtherwise, placedOtherwise, settleOpenings } from "./openings";
export * from "./openPoints";
export * from "./parameters";
export * from "./profile";
export * from "./roles";
export * from "./schema";
