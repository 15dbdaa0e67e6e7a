import { lessMoney, type Money } from "../units";
import type { PartPoint } from "./alike";

/** What an open point can move the total by, either way; nothing where that cannot be said, and why. */
export type OpenPointRange = {
  readonly message: string;
  readonly kind: "assumed" | "missing";
  readonly points: readonly PartPoint[];
  /** What the total is less and more by, at the answers that make it least and most: below or at zero, above or at zero. */
  readonly less: Money;
  readonly more: Money;
  readonly lessWords: string;
  readonly moreWords: string;
  /** Why nobody can say; empty where somebody can. */
  readonly unknown: string;
};

export type OpenRange = {
  /** As it is priced now. */
  readonly total: Money;
  /** With every point at the answer that makes the total least, all together; and most. */
  readonly least: Money;
  readonly most: Money;
  /** The widest first; those that nobody can say at the end. */
  readonly points: readonly OpenPointRange[];
};

/** How far apart the ends are: what settling the point takes out of the range. */
export const widthOf = ({ less, more }: Pick<OpenPointRange, "less" | "more">): Money => lessMoney(more, less);

/** How many of the reckonings that are wanted are done. */
export type OpenRangeProgress = { readonly done: number; readonly of: number };
