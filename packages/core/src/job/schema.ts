import { z } from "zod";
import { optionNameSchema } from "../assemblies/records";
import { assemblyRefSchema } from "../kinds";
import { cuttingSettingsSchema } from "../order/records";
import { pricingRecord, pricingSchema } from "../price/records";
import { jobQuoteSchema, quoteSettingsRecord } from "../quote";
import type { RecordKind } from "../records/recordKind";
import { lineChangesSchema, MOST_SUPPLIES, MOST_SWAPS, supplyOfManySchema, swapSchema } from "./lineChanges";
import { jobMigrations } from "./migrations";
import { pricesKeptSchema } from "./pricesKept";

export const CURRENCIES = ["USD", "GBP", "EUR", "CAD", "AUD", "NZD"] as const;

export const JOB_STAGES = ["pricing", "quoted", "won", "lost", "done"] as const;
export type JobStage = (typeof JOB_STAGES)[number];
export const JOB_SHELVES = ["open", "archived", "template"] as const;
export type JobShelf = (typeof JOB_SHELVES)[number];

/** One customer's work at one site. Its parts are records of their own. */
export const jobSchema = z.object({
  schemaVersion: z.literal(6),
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
  /** Who supplies items, or all that assemblies need. */
  supplies: z.array(supplyOfManySchema).max(MOST_SUPPLIES),
  prices: pricesKeptSchema,
  /** How far it has come, as somebody said. */
  stage: z.enum(JOB_STAGES),
  /** Where it is kept: among those that are worked on, put away, or as the start of others. */
  shelf: z.enum(JOB_SHELVES),
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
    supplies: true,
    prices: true,
    stage: true,
    shelf: true,
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
