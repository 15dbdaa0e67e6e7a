import type { Rectangle } from "../geometry/rectangle";
import type { Dimension } from "../parts/dimension";
import { type Allowance, NO_ALLOWANCE, type Opening } from "../parts/opening";
import { inches, type MeasuringSystem, type Nanometres } from "../units";
import type { Wall } from "./schema";

export const openingLeft = (opening: Opening): Nanometres => opening.position.valueNm ?? 0;
export const openingRight = (opening: Opening): Nanometres => openingLeft(opening) + widthOf(opening);
export const headNm = (opening: Opening): Nanometres => (opening.sill.valueNm ?? 0) + (opening.height.valueNm ?? 0);

export const fromLeft = (wall: Pick<Wall, "openings">): readonly Opening[] =>
  wall.openings.toSorted((a, b) => openingLeft(a) - openingLeft(b));

export const openingRectangle = (opening: Opening): Rectangle => ({
  xNm: openingLeft(opening),
  yNm: opening.sill.valueNm ?? 0,
  widthNm: opening.width.valueNm ?? 0,
  heightNm: opening.height.valueNm ?? 0,
});

/** What a hole is larger than its unit, for walls of some material. */
export type AllowanceOf = (opening: Pick<Opening, "kind" | "measuredAs">) => Allowance;

const plus = (dimension: Dimension, byNm: Nanometres): Dimension =>
  dimension.valueNm === null ? dimension : { ...dimension, valueNm: dimension.valueNm + byNm };

type Sized = Pick<Opening, "measuredAs" | "width" | "height">;

/**
 * The same opening said to be measured the other way. Figures that somebody typed stay, for what is corrected is what they
 * are the sizes of; assumed ones become those of the same hole.
 */
export function measuredOtherwise<T extends Sized>(
  opening: T,
  measuredAs: Opening["measuredAs"],
  allowance: Allowance,
): T {
  if (opening.measuredAs === measuredAs) return opening;
  const sign = measuredAs === "unit" ? -1 : 1;
  const converted = (dimension: Dimension, byNm: Nanometres) =>
    dimension.assumed ? plus(dimension, sign * byNm) : dimension;
  return {
    ...opening,
    measuredAs,
    width: converted(opening.width, allowance.widthNm),
    height: converted(opening.height, allowance.heightNm),
  };
}

/** The rough opening of a unit: its allowance shared by both sides, and above it. */
function roughened(opening: Opening, allowanceOf: AllowanceOf): Opening {
  if (opening.measuredAs !== "unit") return opening;
  const { widthNm, heightNm } = allowanceOf(opening);
  return {
    ...opening,
    measuredAs: "rough",
    width: plus(opening.width, widthNm),
    height: plus(opening.height, heightNm),
    position: plus(opening.position, -Math.round(widthNm / 2)),
  };
}

const widthOf = (opening: Opening): Nanometres => opening.width.valueNm ?? 0;
const at = (opening: Opening, valueNm: Nanometres): Opening => ({
  ...opening,
  position: { valueNm, typed: "", assumed: opening.position.assumed },
});

/** Equal gaps between the ends of the wall and all that share it, in the order they stand. */
function sharedEvenly(openings: readonly Opening[], lengthNm: Nanometres): Map<string, Opening> {
  const sharing = openings.filter((opening) => opening.along === "even");
  const openNm = sharing.reduce((sum, opening) => sum + widthOf(opening), 0);
  const gapNm = (lengthNm - openNm) / (sharing.length + 1);
  const placed = new Map<string, Opening>();
  let fromNm = 0;
  for (const opening of sharing) {
    placed.set(opening.id, at(opening, Math.round(fromNm + gapNm)));
    fromNm += gapNm + widthOf(opening);
  }
  return placed;
}

/**
 * The wall with every opening as it is framed: rough, and at its place from the left end. The same wall where all are so
 * already, and so for the result of an earlier call.
 */
export function settleOpenings<W extends Wall>(wall: W, allowanceOf: AllowanceOf = () => NO_ALLOWANCE): W {
  const lengthNm = wall.length.valueNm;
  if (!wall.openings.some((opening) => opening.measuredAs === "unit" || opening.along !== "from-left")) return wall;
  const rough = wall.openings.map((opening) => roughened(opening, allowanceOf));
  if (lengthNm === null) return { ...wall, openings: rough };
  const even = sharedEvenly(rough, lengthNm);
  const openings = rough.map((opening) => {
    if (opening.along === "centred") return at(opening, Math.round((lengthNm - widthOf(opening)) / 2));
    return even.get(opening.id) ?? opening;
  });
  return { ...wall, openings };
}

/** An opening placed another way; one that comes to be placed from the left end stays where it stands. */
export function placedOtherwise<W extends Wall>(
  wall: W,
  opening: Opening,
  along: Opening["along"],
  allowanceOf: AllowanceOf,
): Opening {
  if (opening.along === along) return opening;
  if (along !== "from-left") return { ...opening, along };
  const standing = settleOpenings(wall, allowanceOf).openings.find((each) => each.id === opening.id) ?? opening;
  return { ...opening, along, position: plus(standing.position, Math.round(allowanceOf(opening).widthNm / 2)) };
}

/** A middle for a new opening in the widest stretch that takes it, to the whole inch or centimetre. */
export function roomForOpening(
  wall: Pick<Wall, "length" | "openings">,
  widthNm: Nanometres,
  besideNm: Nanometres,
  system: MeasuringSystem,
): Nanometres | undefined {
  const lengthNm = wall.length.valueNm;
  if (lengthNm === null) return undefined;
  const openings = fromLeft(wall);
  const stretches = [...openings, undefined].map((opening, index) => {
    const before = openings[index - 1];
    return { start: before ? openingRight(before) : 0, end: opening ? openingLeft(opening) : lengthNm };
  });
  const widest = stretches.reduce((best, next) => (next.end - next.start > best.end - best.start ? next : best));
  if (widest.end - widest.start < widthNm + 2 * besideNm) return undefined;
  const middle = (widest.start + widest.end - widthNm) / 2;
  const step = system === "imperial" ? inches(1) : 10_000_000;
  return Math.round(middle / step) * step;
}
