import type { MeasureWorking } from "../parts";
import type { Nanometres } from "../units";

export type Trade = "Framing" | "Sheathing" | "Fixings";
export type CountUnit = "piece" | "sheet" | "nail";

/** How a quantity came to be, for reading on site. */
export type Working = MeasureWorking & {
  /** Figures and choices of the part that it stands on: paths within the part. */
  readonly from: readonly { readonly path: string; readonly label: string }[];
  /** A published source, or "common practice". */
  readonly source?: string;
};

/** A quantity of one item for one part. `quantity` is what is fixed; what is bought is the order's business. */
export type CountLine = {
  readonly id: string;
  readonly partId: string;
  readonly partName: string;
  readonly trade: Trade;
  readonly description: string;
  readonly itemCode: string;
  readonly quantity: number;
  readonly unit: CountUnit;
  /** For lengths of timber: one entry a piece, in the order of `pieceIds`. */
  readonly cutLengthsNm: readonly Nanometres[];
  /** The placed pieces it counts; empty for what is not drawn. */
  readonly pieceIds: readonly string[];
  readonly labourTask?: string;
  readonly working: Working;
};
