import { type MasonryUnit, masonryUnitOf } from "../../parts/masonryUnit";
import type { PartContext } from "../../parts/partKind";
import type { Nanometres } from "../../units";
import type { Wall, WallEnd } from "../../wall/schema";
import type { MasonryChoices } from "./parameters";
import type { Leaf } from "./roles";
import { type Built, choicesOf } from "./slot";

/** One leaf of a wall: what it is of, and where it runs. Along the wall it may begin before its left end, or end past its right. */
export type LeafPlan = {
  readonly leaf: Leaf;
  readonly unit: MasonryUnit;
  readonly bedNm: Nanometres;
  readonly perpendNm: Nanometres;
  readonly thicknessNm: Nanometres;
  /** Units from face to back: two in a bonded wall. */
  readonly deep: 1 | 2;
  readonly fromNm: Nanometres;
  readonly toNm: Nanometres;
  /** Its near side from the middle of the wall. */
  readonly nearNm: Nanometres;
};

const jointsOf = (unit: MasonryUnit, { joints, bedJoint, perpendJoint }: MasonryChoices) =>
  joints === "own"
    ? { bedNm: bedJoint, perpendNm: perpendJoint }
    : { bedNm: unit.bedJointNm, perpendNm: unit.perpendJointNm };

/** Both leaves and what lies between, from face to face. */
export function thicknessOf(wall: Built, { units, system }: PartContext): Nanometres {
  const choices = choicesOf(wall, system);
  const unit = masonryUnitOf(units, choices.unit);
  switch (choices.buildUp) {
    case "bonded":
      return unit.lengthNm;
    case "cavity":
      return unit.thicknessNm + choices.cavity + masonryUnitOf(units, choices.innerUnit).thicknessNm;
    case "stone":
      // Nobody has said how thick: no thicker than its faces are.
      return choices.stoneThickness === 0 ? choices.stoneFaces * unit.thicknessNm : choices.stoneThickness;
    default:
      return unit.thicknessNm;
  }
}

/** How far a leaf runs past the end of the wall as measured: from outside corner to outside corner, or to inside corner. */
function pastEnd(end: WallEnd, outward: Nanometres, inward: Nanometres): Nanometres {
  if (end === "corner-through") return -outward;
  return end === "corner-butts" ? inward : 0;
}

/**
 * The leaves of a wall, the outer first. A wall that runs through a corner is measured to its outside, one that butts to the
 * inside face of the other: the leaves then have lengths of their own, as each turns its own corner. Where the house turns inwards it is
 * the inner leaf that goes the longer way round.
 */
export function leavesOf(
  wall: Pick<Wall, "length" | "ends" | "insideCorners"> & Built,
  context: PartContext,
): readonly LeafPlan[] {
  const choices = choicesOf(wall, context.system);
  const lengthNm = wall.length.valueNm ?? 0;
  const allNm = thicknessOf(wall, context);
  const plan = (leaf: Leaf, unit: MasonryUnit, thicknessNm: Nanometres, nearNm: Nanometres): LeafPlan => {
    // How deep within the wall the leaf's two faces lie, from the outside.
    const outsideNm = allNm / 2 - (nearNm + thicknessNm);
    const insideNm = allNm - outsideNm - thicknessNm;
    const past = (end: WallEnd, inwards = false) =>
      inwards ? pastEnd(end, insideNm, outsideNm) : pastEnd(end, outsideNm, insideNm);
    return {
      leaf,
      unit,
      ...jointsOf(unit, choices),
      thicknessNm,
      deep: choices.buildUp === "bonded" ? 2 : 1,
      fromNm: -past(wall.ends.left, wall.insideCorners?.left),
      toNm: lengthNm + past(wall.ends.right, wall.insideCorners?.right),
      nearNm,
    };
  };
  const unit = masonryUnitOf(context.units, choices.unit);
  if (choices.buildUp !== "cavity") return [plan("outer", unit, allNm, -allNm / 2)];
  const inner = masonryUnitOf(context.units, choices.innerUnit);
  return [
    plan("outer", unit, unit.thicknessNm, allNm / 2 - unit.thicknessNm),
    plan("inner", inner, inner.thicknessNm, -allNm / 2),
  ];
}
