import type { Nanometres } from "../../units";
import type { Dimension } from "../dimension";
import type { FramingParameters } from "./parameters";
import type { Opening, StudWall } from "./schema";

const plus = (dimension: Dimension, byNm: Nanometres): Dimension =>
  dimension.valueNm === null ? dimension : { ...dimension, valueNm: dimension.valueNm + byNm };

type Allowances = Pick<FramingParameters, "doorAllowanceWidthNm" | "doorAllowanceHeightNm" | "windowAllowanceNm">;
type Allowance = { readonly widthNm: Nanometres; readonly heightNm: Nanometres };

/** How much larger than its unit a rough opening of a kind is. What has no unit in it takes none. */
function unitAllowance(kind: string, parameters: Allowances): Allowance {
  if (kind === "window") {
    const { value } = parameters.windowAllowanceNm;
    return { widthNm: value, heightNm: value };
  }
  if (kind !== "door") return { widthNm: 0, heightNm: 0 };
  return { widthNm: parameters.doorAllowanceWidthNm.value, heightNm: parameters.doorAllowanceHeightNm.value };
}

/** What the wall adds to an opening's sizes to frame it. */
export const allowanceOf = ({ parameters }: StudWall, { kind, measuredAs }: Opening): Allowance =>
  unitAllowance(measuredAs === "unit" ? kind : "", parameters);

type Sized = Pick<Opening, "measuredAs" | "width" | "height"> & { readonly kind: string };

/**
 * The same opening said to be measured the other way. Figures that somebody typed stay, for what is corrected is what they
 * are the sizes of; assumed ones become those of the same hole.
 */
export function measuredOtherwise<T extends Sized>(opening: T, measuredAs: Opening["measuredAs"], wall: Allowances): T {
  if (opening.measuredAs === measuredAs) return opening;
  const { widthNm, heightNm } = unitAllowance(opening.kind, wall);
  const sign = measuredAs === "unit" ? -1 : 1;
  const converted = (dimension: Dimension, byNm: Nanometres) =>
    dimension.assumed ? plus(dimension, sign * byNm) : dimension;
  return {
    ...opening,
    measuredAs,
    width: converted(opening.width, widthNm),
    height: converted(opening.height, heightNm),
  };
}

/** The rough opening of a unit: its allowance shared by both sides, and above it. */
function roughened(wall: StudWall, opening: Opening): Opening {
  if (opening.measuredAs !== "unit") return opening;
  const { widthNm, heightNm } = allowanceOf(wall, opening);
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
export function settleOpenings(wall: StudWall): StudWall {
  const lengthNm = wall.length.valueNm;
  if (!wall.openings.some((opening) => opening.measuredAs === "unit" || opening.along !== "from-left")) return wall;
  const rough = wall.openings.map((opening) => roughened(wall, opening));
  if (lengthNm === null) return { ...wall, openings: rough };
  const even = sharedEvenly(rough, lengthNm);
  const openings = rough.map((opening) => {
    if (opening.along === "centred") return at(opening, Math.round((lengthNm - widthOf(opening)) / 2));
    return even.get(opening.id) ?? opening;
  });
  return { ...wall, openings };
}

/** An opening placed another way; one that comes to be placed from the left end stays where it stands. */
export function placedOtherwise(wall: StudWall, opening: Opening, along: Opening["along"]): Opening {
  if (opening.along === along) return opening;
  if (along !== "from-left") return { ...opening, along };
  const standing = settleOpenings(wall).openings.find((each) => each.id === opening.id) ?? opening;
  const position = plus(standing.position, Math.round(allowanceOf(wall, opening).widthNm / 2));
  return { ...opening, along, position };
}
