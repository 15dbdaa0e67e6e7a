import Big from "big.js";
import type { Money } from "../units";
import { type OpenPointRange, type OpenRange, widthOf } from "./openPointRange";

/** What to do about an open point. */
export type Advice = "next" | "later" | "no-matter";

/** Points that make out so much of all that is open are what to settle next; less than so much of the price is of no matter. */
const SETTLE_SHARE = "0.8";
const NO_MATTER_SHARE = "0.0025";

/** The fewest points that most of what is open hangs on; and those that nobody needs to ask about. */
export function adviceOn({ points, total }: Pick<OpenRange, "points" | "total">): Advice[] {
  const known = points.filter(({ unknown }) => unknown === "");
  const all = known.reduce((sum, each) => sum.plus(widthOf(each)), new Big(0));
  let before = new Big(0);
  return points.map((point): Advice => {
    if (point.unknown !== "") return "later";
    const width = new Big(widthOf(point));
    const reached = before.gte(all.times(SETTLE_SHARE));
    before = before.plus(width);
    if (width.lte(new Big(total).abs().times(NO_MATTER_SHARE))) return "no-matter";
    return reached ? "later" : "next";
  });
}

/** What is left open once the first so many points are settled: the widths of the others, added up. */
export const openAfter = (points: readonly OpenPointRange[], settled: number): Money =>
  points
    .slice(settled)
    .reduce((sum, each) => sum.plus(each.unknown === "" ? widthOf(each) : 0), new Big(0))
    .toFixed(2);
