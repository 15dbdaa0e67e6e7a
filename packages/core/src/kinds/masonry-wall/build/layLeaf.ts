import type { CoursePiece } from "../../../drawing/piece";
import type { Rectangle } from "../../../geometry/rectangle";
import { coursesNm } from "../../../parts/masonryUnit";
import { millimetres, type Nanometres } from "../../../units";
import { cutToProfile } from "../../../wall/cutToProfile";
import { heightAt, highestOf, type Profile } from "../../../wall/profile";
import type { LeafPlan } from "../leaves";
import type { MasonryChoices } from "../parameters";
import { type CourseUnit, courseOf, halfOf } from "./bond";

/** Joints take up as much; a piece that is shorter is no piece (common practice). */
const TAKEN_UP_NM = millimetres(3);
const LEAST_CUT_NM = millimetres(25);

export type LeafFace = {
  readonly profile: Profile;
  /** What stands in place of units: openings, and lintels that displace them. */
  readonly holes: readonly Rectangle[];
};

type Span = { readonly fromNm: Nanometres; readonly toNm: Nanometres };
type Band = { readonly bottomNm: Nanometres; readonly topNm: Nanometres };

/** A stretch of a course that is laid: whole in height, or only as high as a hole leaves it. */
type Stretch = Span & Band & { readonly cut: boolean };

/** What of a course's band a hole takes away, and what it leaves: below it or above. */
function leftBy(hole: Rectangle, band: Band): Band | undefined {
  const belowNm = hole.yNm - band.bottomNm;
  const aboveNm = band.topNm - (hole.yNm + hole.heightNm);
  if (belowNm >= LEAST_CUT_NM) return { bottomNm: band.bottomNm, topNm: hole.yNm };
  return aboveNm >= LEAST_CUT_NM ? { bottomNm: band.topNm - aboveNm, topNm: band.topNm } : undefined;
}

/** The stretches of a course between its holes, from the left. */
function stretchesOf(whole: Span, band: Band, holes: readonly Rectangle[]): Stretch[] {
  const inTheWay = holes.filter(
    (hole) => Math.min(hole.yNm + hole.heightNm, band.topNm) - Math.max(hole.yNm, band.bottomNm) > TAKEN_UP_NM,
  );
  const edges = new Set([whole.fromNm, whole.toNm]);
  for (const { xNm, widthNm } of inTheWay) {
    for (const edge of [xNm, xNm + widthNm]) if (edge > whole.fromNm && edge < whole.toNm) edges.add(edge);
  }
  const sorted = [...edges].toSorted((a, b) => a - b);
  const found: Stretch[] = [];
  for (const [index, toNm] of sorted.entries()) {
    const fromNm = sorted[index - 1];
    if (fromNm === undefined) continue;
    const hole = inTheWay.find(({ xNm, widthNm }) => xNm <= fromNm && xNm + widthNm >= toNm);
    const left = hole ? leftBy(hole, band) : band;
    if (!left) continue;
    const before = found[found.length - 1];
    const goesOn = before && !hole && !before.cut && before.toNm === fromNm;
    if (goesOn) found[found.length - 1] = { ...before, toNm };
    else found.push({ fromNm, toNm, ...left, cut: hole !== undefined });
  }
  return found;
}

/** The highest and the lowest that the wall is over a stretch; it breaks between. */
function topsOver(profile: Profile, { fromNm, toNm }: Span): { lowNm: Nanometres; highNm: Nanometres } {
  const first = profile[0]?.xNm ?? 0;
  const last = profile[profile.length - 1]?.xNm ?? 0;
  const within = (xNm: Nanometres) => heightAt(profile, Math.min(last, Math.max(first, xNm)));
  const heights = [within(fromNm), within(toNm)];
  for (const { xNm, yNm } of profile) if (xNm > fromNm && xNm < toNm) heights.push(yNm);
  return { lowNm: Math.min(...heights), highNm: Math.max(...heights) };
}

type Cut = Span & { readonly is: "unit" | "half" | "cut" | "header" };

/** A unit within a stretch: whole, a half, or as long as the stretch leaves it. Nothing where only a joint is left. */
function within(unit: Span & Pick<CourseUnit, "is">, stretch: Span, plan: LeafPlan): Cut | undefined {
  const fromNm = Math.max(unit.fromNm, stretch.fromNm);
  const toNm = Math.min(unit.toNm, stretch.toNm);
  const lengthNm = toNm - fromNm;
  if (lengthNm < LEAST_CUT_NM) return undefined;
  const whole = lengthNm >= unit.toNm - unit.fromNm - TAKEN_UP_NM;
  if (whole && unit.is === "stretcher") return { fromNm, toNm, is: "unit" };
  if (whole && unit.is === "header") return { fromNm, toNm, is: "header" };
  const halfNm = halfOf(plan);
  const isHalf = lengthNm >= halfNm - TAKEN_UP_NM && lengthNm <= halfNm + plan.perpendNm + TAKEN_UP_NM;
  if (!isHalf || unit.is === "header" || unit.is === "closer") return { fromNm, toNm, is: "cut" };
  // Joints take up what is over: the half lies against the side that it was cut from.
  const clippedAtLeft = unit.fromNm < stretch.fromNm;
  return clippedAtLeft ? { fromNm: toNm - halfNm, toNm, is: "half" } : { fromNm, toNm: fromNm + halfNm, is: "half" };
}

/** What a piece of a leaf counts as. */
export type RoleOf = (is: Cut["is"]) => string;

type Unit = Span & Pick<CourseUnit, "is">;
type Course = { readonly course: number; readonly band: Band; readonly low: boolean };

/** Every unit of a leaf, course by course from the foot: alike ones side by side as one piece with their number. */
export function layLeaf(plan: LeafPlan, face: LeafFace, choices: MasonryChoices, roleOf: RoleOf): CoursePiece[] {
  const { unit, bedNm } = plan;
  const highestNm = highestOf(face.profile);
  // Every other course is laid alike.
  const laid = [0, 1].map((course) => unitsOf(plan, choices, course));
  const pieces: CoursePiece[] = [];
  for (let course = 0; ; course += 1) {
    const bottomNm = choices.firstCourse + coursesNm(unit, bedNm, course) + bedNm;
    const fullTopNm = choices.firstCourse + coursesNm(unit, bedNm, course + 1);
    if (bottomNm >= highestNm - LEAST_CUT_NM) return pieces;
    const low = fullTopNm > highestNm + TAKEN_UP_NM;
    const band = { bottomNm, topNm: low ? highestNm : fullTopNm };
    layCourse(plan, face, laid[course % 2] ?? [], { course, band, low }, roleOf, pieces);
  }
}

/** The units of a course where they stand, from the left. */
function unitsOf(plan: LeafPlan, { bond, layFrom }: MasonryChoices, course: number): Unit[] {
  const { fromNm, toNm } = plan;
  const laid = courseOf(plan, bond, course, toNm - fromNm);
  if (layFrom === "left") {
    return laid.map(({ atNm, lengthNm, is }) => ({ fromNm: fromNm + atNm, toNm: fromNm + atNm + lengthNm, is }));
  }
  return laid.map(({ atNm, lengthNm, is }) => ({ fromNm: toNm - atNm - lengthNm, toNm: toNm - atNm, is })).reverse();
}

function layCourse(
  plan: LeafPlan,
  { profile, holes }: LeafFace,
  units: readonly Unit[],
  { course, band, low }: Course,
  roleOf: RoleOf,
  pieces: CoursePiece[],
): void {
  const runs = new Runs(plan, course, roleOf, pieces);
  const level = profile.every((point) => point.yNm === profile[0]?.yNm);
  for (const stretch of stretchesOf(plan, band, holes)) {
    for (const each of units) {
      if (each.toNm <= stretch.fromNm) continue;
      if (each.fromNm >= stretch.toNm) break;
      const cut = within(each, stretch, plan);
      if (!cut) continue;
      if (level) {
        runs.put(cut, stretch, low || stretch.cut);
        continue;
      }
      const { lowNm, highNm } = topsOver(profile, cut);
      if (highNm < stretch.bottomNm + LEAST_CUT_NM) continue;
      if (lowNm >= stretch.topNm - TAKEN_UP_NM) runs.put(cut, stretch, low || stretch.cut);
      else runs.put(cut, stretch, true, cutToProfile(profile, rectangleOf(cut, stretch)).points);
    }
  }
}

type Growing = { -readonly [K in keyof CoursePiece]: CoursePiece[K] };

/** Puts the units of a course down one by one; whole ones that stand side by side grow into one piece. */
class Runs {
  private last: Growing | undefined;
  private number = 0;

  constructor(
    private readonly plan: LeafPlan,
    private readonly course: number,
    private readonly roleOf: RoleOf,
    private readonly pieces: CoursePiece[],
  ) {}

  put(at: Cut, { bottomNm, topNm }: Band, cut: boolean, points?: CoursePiece["points"]): void {
    const { plan, last } = this;
    const is = cut ? "cut" : at.is;
    const role = this.roleOf(is);
    const widthNm = at.toNm - at.fromNm;
    const each = is === "header" ? 1 : plan.deep;
    const beside = last !== undefined && at.fromNm - (last.xNm + last.widthNm) === plan.perpendNm;
    if (beside && is !== "cut" && last.role === role && last.unitNm === widthNm && last.yNm === bottomNm) {
      last.count += each;
      last.widthNm = at.toNm - last.xNm;
      return;
    }
    this.number += 1;
    const piece: Growing = {
      id: `${plan.leaf}-${this.course + 1}-${this.number}`,
      role,
      itemId: plan.unit.id,
      tone: plan.unit.material,
      count: each,
      unitNm: widthNm,
      jointNm: plan.perpendNm,
      xNm: at.fromNm,
      yNm: bottomNm,
      widthNm,
      heightNm: topNm - bottomNm,
      ...(points ? { points } : {}),
    };
    this.last = piece;
    this.pieces.push(piece);
  }
}

const rectangleOf = ({ fromNm, toNm }: Span, { bottomNm, topNm }: Band): Rectangle => ({
  xNm: fromNm,
  yNm: bottomNm,
  widthNm: toNm - fromNm,
  heightNm: topNm - bottomNm,
});
