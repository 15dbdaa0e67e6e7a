import type { ElevationDrawing } from "../../drawing/drawing";
import { withoutUnbuildable } from "../../parts/choicesThatStand";
import { noFigure } from "../../parts/figure";
import type { PartKind } from "../../parts/partKind";
import { millimetres } from "../../units";
import { drawWall, wallOutline } from "../../wall/draw";
import { wallMeasures } from "../../wall/measures";
import { WALL_QUANTITIES, WALL_ROWS, wallQuantities, wallRows } from "../../wall/quantities";
import { acrossMasonryWall } from "./across";
import { masonryWallDefaults } from "./defaults";
import { masonryAllowance, masonryWallFigures, placedOpenings } from "./figures";
import { MASONRY_FUNCTIONS } from "./functions";
import { masonryWallOpenPoints } from "./openPoints";
import { MASONRY_PARAMETERS } from "./parameters";
import { masonryWallProblems } from "./problems";
import { MASONRY_ROLES } from "./roles";
import { type MasonryWall, masonryWallSchema } from "./schema";
import { masonrySlot } from "./slot";

export const masonryWallKind: PartKind<MasonryWall, ElevationDrawing> = {
  kind: "masonry-wall",
  label: "Masonry wall",
  plural: "Masonry walls",
  order: 1,
  schema: masonryWallSchema,
  migrations: [
    {
      // Choices that can be built by, and an area of openings for who has three figures only.
      to: 2,
      name: "choices-that-stand",
      up: (wall) => ({ ...withoutUnbuildable(MASONRY_PARAMETERS)(wall), openingArea: noFigure }),
    },
  ],
  defaults: masonryWallDefaults,
  measures: (wall, context) => wallMeasures(placedOpenings(wall, context), context),
  quantityNames: WALL_QUANTITIES,
  quantities: wallQuantities,
  rows: WALL_ROWS,
  rowsOf: wallRows,
  roles: MASONRY_ROLES,
  functions: MASONRY_FUNCTIONS,
  slot: masonrySlot(MASONRY_PARAMETERS, "leaves, joints, bond, lintels, ties, damp course"),
  // Half a unit beside an opening is the least that is bonded in (common practice).
  wall: {
    words: "in masonry",
    allowanceOf: masonryAllowance,
    turnsCorners: true,
    besideOpeningNm: () => millimetres(100),
  },
  waits: (wall) => wall.length.valueNm === null,
  placed: placedOpenings,
  outline: wallOutline,
  draw: (wall, context) => drawWall(placedOpenings(wall, context), context),
  depthOf: acrossMasonryWall,
  problems: (wall, context) => masonryWallProblems(placedOpenings(wall, context), context),
  openPoints: masonryWallOpenPoints,
  ...masonryWallFigures,
  asBuilt: (wall, beyond, newest) => ({
    ...wall,
    assembly: newest(beyond === "nothing" ? "cavity-wall" : "block-wall") ?? wall.assembly,
  }),
  nameOfItem: (wall, id) => wall.openings.find((each) => each.id === id)?.name,
  withReferences: (wall, renamed) =>
    wall.plan ? { ...wall, plan: { ...wall.plan, roomId: renamed(wall.plan.roomId) } } : wall,
};

export * from "./choiceWords";
export * from "./defaults";
export * from "./leaves";
export * from "./parameters";
export * from "./schema";
