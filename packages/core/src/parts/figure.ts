import { z } from "zod";
import { type FigureMeasure, LONGEST_ENTRY } from "../units";
import type { DimensionSlot } from "./dimension";

/**
 * A figure that is no length: an area, a pitch, a count. `value` is what counts, in the unit of its measure, or null while
 * nobody has entered it; `typed` and `refused` are as in a dimension.
 */
export const figureSchema = z.object({
  value: z.number().nullable(),
  typed: z.string().max(LONGEST_ENTRY),
  assumed: z.boolean(),
  refused: z.string().max(LONGEST_ENTRY).optional(),
});
export type Figure = z.infer<typeof figureSchema>;

export const noFigure: Figure = { value: null, typed: "", assumed: false };

/** Any figure on a part that can be typed, whatever it measures. */
export type FigureSlot = Omit<DimensionSlot, "dimension"> & {
  readonly measure: FigureMeasure;
  readonly figure: Figure;
  /** What it is at least and at most, where its record says so. */
  readonly least?: number;
  readonly most?: number;
  /** Whether the record keeps an entry that could not be used beside it. */
  readonly keepsRefused?: boolean;
};

/** A whole number on a part that is always there: how many alike. */
export const countSlot = (
  path: string,
  label: string,
  value: number | null,
  { least = 0, most, of = "" }: { readonly least?: number; readonly most: number; readonly of?: string },
): FigureSlot => ({ path, label, of, measure: "count", figure: { value, typed: "", assumed: false }, least, most });
