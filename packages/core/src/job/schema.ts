import { z } from "zod";
import { optionNameSchema } from "../assemblies/records";
import { assemblyRefSchema } from "../kinds";
import { cuttingSettingsSchema } from "../order/records";
import { pricingRecord, pricingSchema } from "../price/records";
import { jobQuoteSchema, quoteSettingsRecord } from "../quote";
import type { RecordKind } from "../records/recordKind";
import { lineChangesSchema, MOST_SWAPS, swapSchema } from "./lineChanges";
import { jobMigrations } from "./migrations";

export const CURRENCIES = ["USD", "GBP", "EUR", "CAD", "AUD", "NZD"] as const;

/** One customer's work at one site. Its parts are records of their own. */
export const jobSchema = z.object({
  schemaVersion: z.literal(5),
  title: z.string().trim().min(1, "Give the job a name.").max(160),
  customerName: z.string().trim().min(1, "Say who the customer is.").max(160),
  site: z.string().trim().max(400),
  system: z.enum(["imperial", "metric"]),
  currency: z.enum(CURRENCIES),
  pricing: pricingSchema,
  quote: jobQuoteSchema,
  cutting: cuttingSettingsSchema,
  /** The house standard it is counted by, in the version it was counted with. */
  standard: assemblyRefSchema.nullable(),
  /** Options the customer takes, by their names; others are priced apart. */
  optionsTaken: z.array(optionNameSchema).max(60),
  /** What was chosen for single lines of the count. */
  lineChanges: lineChangesSchema,
  /** Items that others stand in the place of. */
  swaps: z.array(swapSchema).max(MOST_SWAPS),
});
export type Job = z.infer<typeof jobSchema>;

export const jobRecord: RecordKind<Job> = {
  name: "Job",
  schema: jobSchema,
  migrations: jobMigrations,
  within: { pricing: pricingRecord, quote: quoteSettingsRecord },
};

/** What of a job can be changed once it is there. */
export const jobChangesSchema = jobSchema
  .pick({
    title: true,
    customerName: true,
    site: true,
    pricing: true,
    quote: true,
    cutting: true,
    standard: true,
    optionsTaken: true,
    lineChanges: true,
    swaps: true,
  })
  .partial();
export type JobChanges = z.infer<typeof jobChangesSchema>;

/** What starting a job asks for; pricing and wording start from the company's own. */
export const newJobSchema = jobSchema.pick({
  title: true,
  customerName: true,
  site: true,
  system: true,
  currency: true,
});
export type NewJob = z.infer<typeof newJobSchema>;
