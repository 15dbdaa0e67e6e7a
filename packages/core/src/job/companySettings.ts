import { z } from "zod";
import { assemblyRefSchema, reportMatchSchema } from "../kinds";
import { MOST_LAYOUTS, worksheetLayoutSchema } from "../ledger/records";
import type { Migration } from "../migrations/migrate";
import { usualCutting } from "../order/records";
import { pricingRecord, pricingSchema } from "../price/records";
import { quoteSettingsRecord, quoteSettingsSchema } from "../quote";
import type { RecordKind } from "../records/recordKind";
import { companyProfileSchema, plainProfile } from "./companyProfile";
import type { Job, NewJob } from "./schema";

const standardIdSchema = assemblyRefSchema.shape.id.nullable();

/** How a company prices, quotes and builds: the start of each new job. */
export const companySettingsSchema = z.object({
  schemaVersion: z.literal(5),
  address: z.string().max(400),
  pricing: pricingSchema,
  quote: quoteSettingsSchema,
  /** The house standard that a new job starts with, by its id, in its newest version; null for none. */
  usualStandards: z.object({ imperial: standardIdSchema, metric: standardIdSchema }),
  /** How the columns of measuring reports were matched, by what columns they have. */
  reportColumns: z.record(z.string().min(1).max(2000), reportMatchSchema),
  /** Ways of reading a worksheet that are everybody's. */
  worksheetLayouts: z.array(worksheetLayoutSchema).max(MOST_LAYOUTS),
  profile: companyProfileSchema,
});
/** Shapes of reports that are remembered; the oldest are forgotten. */
export const MOST_REPORT_SHAPES = 40;
export type CompanySettings = z.infer<typeof companySettingsSchema>;

const companySettingsMigrations: readonly Migration[] = [
  {
    to: 2,
    name: "usual-standards",
    up: (settings) => ({ ...settings, usualStandards: { imperial: null, metric: null } }),
  },
  { to: 3, name: "report-columns", up: (settings) => ({ ...settings, reportColumns: {} }) },
  { to: 4, name: "worksheet-layouts", up: (settings) => ({ ...settings, worksheetLayouts: [] }) },
  { to: 5, name: "profile", up: (settings) => ({ ...settings, profile: plainProfile }) },
];

export const companySettingsRecord: RecordKind<CompanySettings> = {
  name: "Company settings",
  schema: companySettingsSchema,
  migrations: companySettingsMigrations,
  within: { pricing: pricingRecord, quote: quoteSettingsRecord },
};

/**
 * A new job by the company's ways; `standard` is its usual house standard in the newest version, where it has one. It keeps the prices
 * of the moment it is started at; without one it has those of the list as it is.
 */
export const startJob = (
  start: NewJob,
  company: CompanySettings,
  standard: Job["standard"] = null,
  startedAt: Job["prices"]["at"] = null,
): Job => ({
  schemaVersion: 6,
  ...start,
  pricing: company.pricing,
  quote: { ...company.quote, pictures: [] },
  cutting: usualCutting,
  standard,
  optionsTaken: [],
  lineChanges: {},
  swaps: [],
  supplies: [],
  prices: { at: startedAt, taken: {} },
  stage: "pricing",
  shelf: "open",
});
