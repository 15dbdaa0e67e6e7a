import { z } from "zod";
import { recordOf } from "../migrations/fields";
import type { RecordKind } from "../records/recordKind";
import { letterheadSchema } from "./letterhead";
import { quotePicturesSchema } from "./settings";

/** An amount as it is shown: decimal text with two places. */
const moneySchema = z.string().regex(/^-?\d{1,12}\.\d{2}$/, "An amount with two decimals.");

const optionSchema = z.object({
  name: z.string(),
  /** Whether the total has it in already. */
  taken: z.boolean(),
  difference: moneySchema,
  paragraphs: z.array(z.string()),
});

/**
 * The quote as the customer reads it. Nothing internal has a place in it: no cost, markup, margin or hours.
 * An issued quote is this record, kept as it was.
 */
export const quoteDocumentSchema = z.object({
  schemaVersion: z.literal(4),
  number: z.string().max(40),
  /** ISO dates. */
  date: z.iso.date(),
  validUntil: z.iso.date(),
  company: letterheadSchema,
  customer: z.object({ name: z.string(), site: z.string() }),
  title: z.string(),
  currency: z.string().length(3),
  intro: z.string(),
  /** By the ids of the job's photos. Quotes issued before there were any have none. */
  pictures: quotePicturesSchema.default([]),
  sections: z.array(z.object({ heading: z.string(), paragraphs: z.array(z.string()), price: moneySchema.nullable() })),
  /** What the customer can take beside it: what the total is more by, and what is then done. */
  options: z.array(optionSchema).max(60),
  priceBeforeTax: moneySchema,
  /** What is said on a line of its own between the parts and the price: a contingency, a discount. */
  apart: z.array(z.object({ name: z.string(), amount: moneySchema })).max(3),
  /** By class: what is taxed, and the tax on it. */
  taxes: z.array(z.object({ name: z.string(), percent: z.string(), base: moneySchema, amount: moneySchema })).max(3),
  /** Whether prices of parts have the tax in them. */
  taxContained: z.boolean(),
  total: moneySchema,
  exclusions: z.array(z.string()),
  notes: z.array(z.string()),
  terms: z.string(),
});
export type QuoteDocument = z.infer<typeof quoteDocumentSchema>;

export const quoteDocumentRecord: RecordKind<QuoteDocument> = {
  name: "Quote",
  schema: quoteDocumentSchema,
  migrations: [
    { to: 2, name: "options", up: (quote) => ({ ...quote, options: [] }) },
    {
      // One tax on all of the price, beside it.
      to: 3,
      name: "taxes-by-class",
      up: ({ tax, ...quote }) => ({
        ...quote,
        apart: [],
        taxes: [{ ...recordOf(tax), base: quote.priceBeforeTax }],
        taxContained: false,
      }),
    },
    {
      to: 4,
      name: "letterhead",
      up: (quote) => ({ ...quote, company: { ...recordOf(quote.company), details: [], mark: null } }),
    },
  ],
};
