import type { Nanometres } from "../units";
import type { Bar } from "./cutBars";

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
  readonly note: string;
};

export type Order = {
  readonly lines: readonly OrderLine[];
  /** Cut bars by item code. */
  readonly bars: Readonly<Record<string, readonly Bar[]>>;
  /** What could not be ordered, in words. */
  readonly problems: readonly { readonly code: string; readonly path: string; readonly message: string }[];
};
