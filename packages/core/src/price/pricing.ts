import { z } from "zod";
import { amountSchema } from "../order/priceItem";

export const COST_KINDS = ["material", "labour", "plant", "subcontract"] as const;
export type CostKind = (typeof COST_KINDS)[number];

export const percentSchema = z.string().regex(/^\d{1,3}(\.\d{1,3})?$/, "A percentage like 12.5, zero or more.");

const taskSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(120),
  /** What one of is counted: `piece`, `sheet`. */
  unit: z.string().min(1).max(20),
  hoursPerUnit: amountSchema,
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
  schemaVersion: z.literal(1),
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
