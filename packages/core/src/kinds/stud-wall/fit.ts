import { inches, type Nanometres } from "../../units";
import type { PartContext } from "../partKind";
import { sectionOf } from "../section";
import { lowestUnderside, profileOf } from "./profile";
import type { Opening, StudWall } from "./schema";

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

export const openingLeft = (opening: Opening): Nanometres => opening.position.valueNm ?? 0;
export const openingRight = (opening: Opening): Nanometres => openingLeft(opening) + (opening.width.valueNm ?? 0);
export const headNm = (opening: Opening): Nanometres => (opening.sill.valueNm ?? 0) + (opening.height.valueNm ?? 0);

export const fromLeft = (wall: StudWall): readonly Opening[] =>
  wall.openings.toSorted((a, b) => openingLeft(a) - openingLeft(b));

/** A middle for a new opening in the widest stretch that takes it with two jambs, to the whole inch or centimetre. */
export function roomForOpening(wall: StudWall, widthNm: Nanometres, context: PartContext): Nanometres | undefined {
  const lengthNm = wall.length.valueNm;
  if (lengthNm === null) return undefined;
  const jambNm = 2 * studThicknessNm(wall, context);
  const openings = fromLeft(wall);
  const stretches = [...openings, undefined].map((opening, index) => {
    const before = openings[index - 1];
    return { start: before ? openingRight(before) : 0, end: opening ? openingLeft(opening) : lengthNm };
  });
  const widest = stretches.reduce((best, next) => (next.end - next.start > best.end - best.start ? next : best));
  if (widest.end - widest.start < widthNm + 3 * jambNm) return undefined;
  const middle = (widest.start + widest.end - widthNm) / 2;
  const step = context.system === "imperial" ? inches(1) : 10_000_000;
  return Math.round(middle / step) * step;
}
