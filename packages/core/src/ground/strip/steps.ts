import { distance } from "../../geometry";
import { millimetres, type Nanometres } from "../../units";
import type { FootingStep, StripFigures } from "./schema";
import type { PlacedLine } from "./shape";

/** A stretch of a line's footing at one level: its underside and its top, above the ground. */
export type FootingStretch = {
  readonly fromNm: Nanometres;
  readonly toNm: Nanometres;
  readonly bottomNm: Nanometres;
  readonly topNm: Nanometres;
};

/** What the upper footing lies over the lower one by at a step: twice the rise, the thickness or 300 mm, whichever is most (Approved Document A, from memory). */
export const overlapNm = (riseNm: Nanometres, thicknessNm: Nanometres): Nanometres =>
  Math.max(2 * riseNm, thicknessNm, millimetres(300));

type Lower = { readonly fromNm: Nanometres; readonly toNm: Nanometres; readonly dropNm: Nanometres };

/** Stretches that lie lower, in the order of a line, each within it; one that begins within another begins where that ends. */
function lowerStretches(steps: readonly FootingStep[], edgeId: string, lengthNm: Nanometres): Lower[] {
  const found = steps
    .filter((step) => step.edgeId === edgeId && (step.drop.valueNm ?? 0) > 0)
    .map((step) => ({
      fromNm: Math.min(lengthNm, Math.max(0, step.from.valueNm ?? 0)),
      toNm: Math.min(lengthNm, Math.max(0, step.to.valueNm ?? lengthNm)),
      dropNm: step.drop.valueNm ?? 0,
    }))
    .toSorted((a, b) => a.fromNm - b.fromNm);
  let endNm = 0;
  return found.flatMap((each) => {
    const fromNm = Math.max(endNm, each.fromNm);
    if (each.toNm <= fromNm) return [];
    endNm = each.toNm;
    return [{ ...each, fromNm }];
  });
}

/**
 * A line's footing from its start to its end, level by level. Where it steps, what the upper one lies over the lower one by is one block from the
 * lower underside to the upper top. `joined` says which ends go on at the same drop.
 */
export function stretchesOf(
  strip: Pick<StripFigures, "steps" | "thickness" | "below">,
  { edge, from, to }: PlacedLine,
  joined: { readonly start: boolean; readonly end: boolean },
): FootingStretch[] {
  const lengthNm = Math.round(distance(from, to));
  const thicknessNm = strip.thickness.valueNm ?? 0;
  const upperNm = -(strip.below.valueNm ?? 0);
  const level = (fromNm: Nanometres, toNm: Nanometres, dropNm: Nanometres, raisedNm: Nanometres): FootingStretch[] =>
    toNm <= fromNm
      ? []
      : [{ fromNm, toNm, bottomNm: upperNm - dropNm, topNm: upperNm - dropNm + thicknessNm + raisedNm }];
  const stretches: FootingStretch[] = [];
  let atNm = 0;
  for (const lower of lowerStretches(strip.steps, edge.id, lengthNm)) {
    stretches.push(...level(atNm, lower.fromNm, 0, 0));
    const overNm = Math.min(overlapNm(lower.dropNm, thicknessNm), (lower.toNm - lower.fromNm) / 2);
    const begins = lower.fromNm > 0 || !joined.start;
    const ends = lower.toNm < lengthNm || !joined.end;
    const fromNm = begins ? lower.fromNm + overNm : lower.fromNm;
    const toNm = ends ? lower.toNm - overNm : lower.toNm;
    stretches.push(
      ...(begins ? level(lower.fromNm, fromNm, lower.dropNm, lower.dropNm) : []),
      ...level(fromNm, toNm, lower.dropNm, 0),
      ...(ends ? level(toNm, lower.toNm, lower.dropNm, lower.dropNm) : []),
    );
    atNm = lower.toNm;
  }
  return [...stretches, ...level(atNm, lengthNm, 0, 0)];
}

/** How much lower a line's footing lies where it begins, or where it ends. */
export function dropAt(
  strip: Pick<StripFigures, "steps">,
  { edge, from, to }: PlacedLine,
  end: "from" | "to",
): Nanometres {
  const lengthNm = Math.round(distance(from, to));
  const lower = lowerStretches(strip.steps, edge.id, lengthNm);
  const found = lower.find((each) => (end === "from" ? each.fromNm === 0 : each.toNm === lengthNm));
  return found?.dropNm ?? 0;
}
