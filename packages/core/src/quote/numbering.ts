import { z } from "zod";

/** How a company numbers its quotes: `Q-2026-0007`. */
export const quoteNumberingSchema = z.object({
  prefix: z
    .string()
    .max(12)
    .regex(/^[A-Za-z0-9 ./-]*$/, "Letters, digits, blanks, points, slashes and dashes."),
  /** Counted anew each year, with the year in it. */
  byYear: z.boolean(),
  digits: z.int().min(1).max(8),
  /** The first number, for those who go on from what they had. */
  firstNumber: z.int().min(1).max(99_999_999),
});
export type QuoteNumbering = z.infer<typeof quoteNumberingSchema>;

export const usualNumbering: QuoteNumbering = { prefix: "", byYear: true, digits: 4, firstNumber: 1 };

/** The number of a quote, by how many there were. `year` is not said where numbers go on over the years. */
export const quoteNumber = ({ prefix, byYear, digits }: QuoteNumbering, year: number, count: number): string =>
  `${prefix}${byYear ? `${year}-` : ""}${String(count).padStart(digits, "0")}`;
