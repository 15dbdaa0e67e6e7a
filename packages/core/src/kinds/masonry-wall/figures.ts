import { masonryUnitOf } from "../../parts/masonryUnit";
import { type Allowance, NO_ALLOWANCE, type Opening } from "../../parts/opening";
import type { PartContext } from "../../parts/partKind";
import { ownValue } from "../../records/ownValue";
import { millimetres } from "../../units";
import { wallFigures } from "../../wall/figures";
import { settleOpenings } from "../../wall/openings";
import { openingAreaFigures, withOpeningArea, withRefusedArea } from "./openingArea";
import type { MasonryWall } from "./schema";
import { choicesOf } from "./slot";

/** What a frame of a door or window leaves round it in masonry, at both sides together and at its head (common practice). */
const FIT: Allowance = { widthNm: millimetres(10), heightNm: millimetres(10) };

export const masonryAllowance = (
  _wall: MasonryWall,
  { kind, measuredAs }: Pick<Opening, "kind" | "measuredAs">,
): Allowance => (measuredAs === "unit" && kind !== "plain" ? FIT : NO_ALLOWANCE);

const figures = wallFigures<MasonryWall>({ holeWords: "Clear", allowanceOf: masonryAllowance });

export const masonryWallFigures: typeof figures = {
  ...figures,
  figures: (wall) => [...openingAreaFigures(wall), ...figures.figures(wall)],
  withFigure: (wall, path, value, typed) =>
    withOpeningArea(wall, path, value, typed) ?? figures.withFigure(wall, path, value, typed),
  withRefused: (wall, path, typed) => withRefusedArea(wall, path, typed) ?? figures.withRefused(wall, path, typed),
};

/** A co-ordinating size leaves a joint more open, half of it at each side: brick dimension tables, from memory. */
function leftOpen(opening: Opening, jointNm: number, bedNm: number): Opening {
  const { width, height, position } = opening;
  const plus = (dimension: Opening["width"], byNm: number) =>
    dimension.valueNm === null ? dimension : { ...dimension, valueNm: dimension.valueNm + byNm };
  return {
    ...opening,
    width: plus(width, jointNm),
    height: plus(height, bedNm),
    position: plus(position, -Math.round(jointNm / 2)),
  };
}

/** The wall with every opening as it is left open, at its place from the left end. */
export function placedOpenings(wall: MasonryWall, { units, system }: PartContext): MasonryWall {
  if (wall.leftOpen) return wall;
  const placed = { ...settleOpenings(wall, (opening) => masonryAllowance(wall, opening)), leftOpen: true as const };
  const { openingSizes, unit: unitId, joints, bedJoint, perpendJoint } = choicesOf(wall, system);
  if (openingSizes === "work" || wall.openings.length === 0 || !ownValue(units, unitId)) return placed;
  const unit = masonryUnitOf(units, unitId);
  const [bedNm, jointNm] = joints === "own" ? [bedJoint, perpendJoint] : [unit.bedJointNm, unit.perpendJointNm];
  return { ...placed, openings: placed.openings.map((opening) => leftOpen(opening, jointNm, bedNm)) };
}
