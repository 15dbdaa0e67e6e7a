import type { Opening } from "../../parts/opening";
import type { PartContext } from "../../parts/partKind";
import { sectionOf } from "../../parts/section";
import type { Nanometres } from "../../units";
import { openingLeft, openingRight } from "../../wall/openings";
import { lowestUnderside, profileOf } from "../../wall/profile";
import type { StudWall } from "./schema";

export const jacksPerSide = (wall: StudWall, opening: Opening): number =>
  (opening.width.valueNm ?? 0) > wall.parameters.twoJacksFromNm.value ? 2 : 1;

/** King and jack studs on one side of an opening. */
export const jambStuds = (wall: StudWall, opening: Opening): number =>
  jacksPerSide(wall, opening) + wall.parameters.kingsPerSide.value;

export const studThicknessNm = (wall: StudWall, context: PartContext): Nanometres =>
  sectionOf(context.sections, wall.parameters.studSize.value).thicknessNm;

export const topPlatesNm = (wall: StudWall, context: PartContext): Nanometres =>
  wall.parameters.topPlates.value * studThicknessNm(wall, context);

/** Where the top plates begin over an opening: the highest it can reach. */
export const highestHeadNm = (wall: StudWall, opening: Opening, context: PartContext): Nanometres =>
  lowestUnderside(profileOf(wall), openingLeft(opening), openingRight(opening), topPlatesNm(wall, context));
