import type { Opening } from "../../parts/opening";
import type { PartContext } from "../../parts/partKind";
import { sectionOf } from "../../parts/section";
import type { Nanometres } from "../../units";
import { openingLeft, openingRight } from "../../wall/openings";
import { lowestUnderside, profileOf } from "../../wall/profile";
import type { FramingChoices } from "./parameters";
import type { StudWall } from "./schema";
import { framingOf } from "./slot";

export const jacksPerSide = ({ twoJacksFrom }: FramingChoices, opening: Opening): number =>
  (opening.width.valueNm ?? 0) > twoJacksFrom ? 2 : 1;

/** King and jack studs on one side of an opening. */
export const jambStuds = (framing: FramingChoices, opening: Opening): number =>
  jacksPerSide(framing, opening) + framing.kingsPerSide;

export const studThicknessNm = (wall: StudWall, context: PartContext): Nanometres =>
  sectionOf(context.sections, framingOf(wall, context.system).studSize).thicknessNm;

export const topPlatesNm = (wall: StudWall, context: PartContext): Nanometres =>
  framingOf(wall, context.system).topPlates * studThicknessNm(wall, context);

/** Where the top plates begin over an opening: the highest it can reach. */
export const highestHeadNm = (wall: StudWall, opening: Opening, context: PartContext): Nanometres =>
  lowestUnderside(profileOf(wall), openingLeft(opening), openingRight(opening), topPlatesNm(wall, context));
