import type { ElevationDrawing } from "../../drawing/drawing";
import type { PartKind } from "../partKind";
import { studWallDefaults } from "./defaults";
import { studWallDimensions, withDimension, withRefused } from "./dimensions";
import { drawStudWall, studWallOutline } from "./draw";
import { studWallMeasures } from "./measures";
import { studWallMigrations } from "./migrations";
import { settleOpenings } from "./openings";
import { studWallOpenPoints } from "./openPoints";
import { studWallProblems } from "./problems";
import { studWallQuantities, WALL_QUANTITIES } from "./quantities";
import { type StudWall, studWallSchema } from "./schema";

export const studWallKind: PartKind<StudWall, ElevationDrawing> = {
  kind: "stud-wall",
  label: "Stud wall",
  schema: studWallSchema,
  migrations: studWallMigrations,
  defaults: studWallDefaults,
  measures: (wall, context) => studWallMeasures(settleOpenings(wall), context),
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

export * from "./defaults";
export { openingRectangle } from "./draw";
export * from "./fit";
export * from "./measures";
export { measuredOtherwise, placedOtherwise, settleOpenings } from "./openings";
export * from "./openPoints";
export * from "./parameters";
export * from "./profile";
export * from "./schema";
