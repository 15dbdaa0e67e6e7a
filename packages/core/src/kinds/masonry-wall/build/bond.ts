import type { Nanometres } from "../../../units";
import type { LeafPlan } from "../leaves";
import type { MasonryChoices } from "../parameters";

/** One unit of a course before anything is cut from it: from its near end, in the order it is laid. */
export type CourseUnit = {
  readonly atNm: Nanometres;
  readonly lengthNm: Nanometres;
  readonly is: "stretcher" | "header" | "half" | "closer";
};

type Step = Omit<CourseUnit, "atNm">;
type Pattern = { readonly start: readonly Step[]; readonly repeat: readonly Step[] };

export const halfOf = ({ unit, perpendNm }: Pick<LeafPlan, "unit" | "perpendNm">): Nanometres =>
  Math.round((unit.lengthNm - perpendNm) / 2);

/** How a course begins and goes on. Headers show in every other course of English bond, beside each stretcher in Flemish. */
function patternOf(plan: LeafPlan, bond: MasonryChoices["bond"], course: number): Pattern {
  const { unit, perpendNm, deep } = plan;
  const stretcher: Step = { is: "stretcher", lengthNm: unit.lengthNm };
  const header: Step = { is: "header", lengthNm: unit.thicknessNm };
  const half: Step = { is: "half", lengthNm: halfOf(plan) };
  // A queen closer brings the perpends a quarter of a stretcher over those below.
  const closer: Step = { is: "closer", lengthNm: Math.round((unit.thicknessNm - perpendNm) / 2) };
  const odd = course % 2 === 1;
  // Headers need two units from face to face.
  const own = deep === 2 ? bond : bond === "stack" ? "stack" : "stretcher";
  switch (own) {
    case "stack":
      return { start: [], repeat: [stretcher] };
    case "english":
      return odd ? { start: [header, closer], repeat: [header] } : { start: [], repeat: [stretcher] };
    case "flemish":
      return odd
        ? { start: [header, closer], repeat: [stretcher, header] }
        : { start: [], repeat: [stretcher, header] };
    case "stretcher":
      return { start: odd ? [half] : [], repeat: [stretcher] };
  }
}

/** The units of a course over a length, from where it is laid from; the last goes past the end. */
export function courseOf(
  plan: LeafPlan,
  bond: MasonryChoices["bond"],
  course: number,
  lengthNm: Nanometres,
): readonly CourseUnit[] {
  const { start, repeat } = patternOf(plan, bond, course);
  const laid: CourseUnit[] = [];
  let atNm = 0;
  for (let index = 0; atNm < lengthNm; index += 1) {
    const step = start[index] ?? repeat[(index - start.length) % repeat.length];
    if (!step) break;
    laid.push({ ...step, atNm });
    atNm += step.lengthNm + plan.perpendNm;
  }
  return laid;
}
