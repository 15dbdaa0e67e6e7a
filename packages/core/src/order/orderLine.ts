import type { Nanometres } from "../units";
import type { CutList } from "./cutting";
import type { SuppliedLine } from "./supplied";

/** One thing to buy for the whole job. */
export type OrderLine = {
  readonly id: string;
  readonly itemCode: string;
  readonly description: string;
  /** Bars of one length, sheets or packs. */
  readonly quantity: number;
  readonly unitName: string;
  readonly stockNm?: Nanometres;
  /** For one of what is bought; null when the price list gives none. */
  readonly unitPrice: string | null;
  readonly countLineIds: readonly string[];
  /** What the job needs, as counted. */
  readonly need: string;
  /** What is added for waste; empty for none. */
  readonly waste: string;
  readonly note: string;
  /** What it costs beside what is bought: of a hire, or of a truck that comes with less than its least. */
  readonly charge?: "delivery" | "fuel" | "part-load";
  /** The part it is rounded up for alone; with all others of the job where there is none. */
  readonly alone?: string;
};

/** The cut list of one item. `kept` says that it is one worked out before and kept. */
export type ItemCut = CutList & { readonly itemCode: string; readonly name: string; readonly kept: boolean };

export type Order = {
  readonly lines: readonly OrderLine[];
  readonly cuts: readonly ItemCut[];
  /** What the customer supplies, and what is allowed for: not bought from the price list. */
  readonly supplied: readonly SuppliedLine[];
  /** What could not be ordered, in words. */
  readonly problems: readonly { readonly code: string; readonly path: string; readonly message: string }[];
};
