import { z } from "zod";
import { photoSchema } from "../kinds";
import type { RecordKind } from "../records/recordKind";

/** What the builder chooses about a quote; the rest follows from the job. */
export const quoteSettingsSchema = z.object({
  schemaVersion: z.literal(1),
  validDays: z.int().min(1).max(365),
  detail: z.enum(["one-price", "price-per-part"]),
  intro: z.string().max(4000),
  exclusions: z.array(z.string().min(1).max(400)).max(60),
  terms: z.string().max(4000),
});
export type QuoteSettings = z.infer<typeof quoteSettingsSchema>;

export const quoteSettingsRecord: RecordKind<QuoteSettings> = {
  name: "Wording of quotes",
  schema: quoteSettingsSchema,
  migrations: [],
};

export const MOST_QUOTE_PICTURES = 6;
export const quotePicturesSchema = z.array(photoSchema).max(MOST_QUOTE_PICTURES);

/** A job's own: with the pictures on the paper, which are kept as the job's photos are. */
export const jobQuoteSchema = quoteSettingsSchema.extend({ pictures: quotePicturesSchema.default([]) });
export type JobQuote = z.infer<typeof jobQuoteSchema>;
