import type { PartContext } from "../../parts/partKind";
import { wallFigures } from "../../wall/figures";
import { settleOpenings } from "../../wall/openings";
import { allowanceOf } from "./allowances";
import type { StudWall } from "./schema";

const figures = wallFigures<StudWall>({ holeWords: "Rough", allowanceOf });
export const { dimensions: studWallDimensions, ...studWallFigures } = figures;

/** The wall with every opening as it is framed: rough, and at its place from the left end. */
export const framedOpenings = (wall: StudWall, { system }: PartContext): StudWall =>
  settleOpenings(wall, (opening) => allowanceOf(wall, opening, system));
