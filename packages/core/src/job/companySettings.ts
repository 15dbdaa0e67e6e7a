import { z } from "zod";
import { usualCutting } from "../order/records";
import { pricingSchema } from "../price/records";
import { quoteSettingsSchema } from "../quote";
import type { Job, NewJob } from "./schema";

/** How a company prices and quotes: the start of each new job. */
export const companySettingsSchema = z.object({
  schemaVersion: z.literal(1),
  address: z.string().max(400),
  pricing: pricingSchema,
  quote: quoteSettingsSchema,
});
export type CompanySettings = z.infer<typeof companySettingsSchema>;

export const startJob = (start: NewJob, company: CompanySettings): Job => ({
  schemaVersion: 3,
  ...start,
  pricing: company.pricing,
  quote: { ...company.quote, pictures: [] },
  cutting: usualCutting,
  standard: null,
});
