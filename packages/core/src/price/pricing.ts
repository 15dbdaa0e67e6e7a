import { z } from "zod";
import { recordsOf } from "../migrations/fields";
import type { Migration } from "../migrations/migrate";
import { amountSchema } from "../order/priceItem";
import { ownValue } from "../records/ownValue";
import type { RecordKind } from "../records/recordKind";

export const COST_KINDS = ["material", "labour", "plant", "subcontract"] as const;
export type CostKind = (typeof COST_KINDS)[number];

export const percentSchema = z.string().regex(/^\d{1,3}(\.\d{1,3})?$/, "A percentage like 12.5, zero or more.");

const taskSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(120),
  /** What one of is counted: `piece`, `sheet`; `area`, `length` and such where it is measured, in base units. */
  unit: z.string().min(1).max(20),
  /** Finer than money: what is said for 100 sq ft is kept for one square metre. */
  hoursPerUnit: z.string().regex(/^\d{1,9}(\.\d{1,8})?$/, "Hours like 0.35, zero or more."),
});

/** A cost typed in beside what is counted: a hired saw, a crane, a subcontractor's sum. */
export const extraSchema = z.object({
  id: z.string().min(1).max(40),
  kind: z.enum(COST_KINDS),
  description: z.string().min(1).max(200),
  cost: amountSchema,
});
export type Extra = z.infer<typeof extraSchema>;

/** How a job goes from cost to price. A company's own is the start of each new job's. */
export const pricingSchema = z.object({
  schemaVersion: z.literal(2),
  ratePerHour: amountSchema,
  tasks: z.array(taskSchema).max(200),
  markupPercent: z.object({
    material: percentSchema,
    labour: percentSchema,
    plant: percentSchema,
    subcontract: percentSchema,
  }),
  overheadPercent: percentSchema,
  tax: z.object({ name: z.string().min(1).max(40), percent: percentSchema }),
  extras: z.array(extraSchema).max(200),
});
export type Pricing = z.infer<typeof pricingSchema>;

const UNIT_NAMES: Readonly<Record<string, string>> = {
  m: "length",
  "m²": "area",
  m2: "area",
  "m³": "volume",
  kg: "weight",
};

export const pricingMigrations: readonly Migration[] = [
  {
    // A task by the square metre was shown as such in feet and inches too.
    to: 2,
    name: "measured-units-by-name",
    up: (pricing) => ({
      ...pricing,
      tasks: recordsOf(pricing.tasks).map((task) => ({
        ...task,
        unit: ownValue(UNIT_NAMES, String(task.unit)) ?? task.unit,
      })),
    }),
  },
];

export const pricingRecord: RecordKind<Pricing> = {
  name: "Pricing",
  schema: pricingSchema,
  migrations: pricingMigrations,
};
