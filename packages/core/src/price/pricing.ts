import { z } from "zod";
import {
  COST_KINDS,
  type CostKind,
  crewSchema,
  extraSchema,
  lineSetSchema,
  MOST_CREWS,
  MOST_LINES_SET,
  percentSchema,
  taskSchema,
} from "../ledger/records";
import { recordOf, recordsOf } from "../migrations/fields";
import type { Migration } from "../migrations/migrate";
import { amountSchema } from "../order/priceItem";
import { ownValue } from "../records/ownValue";
import type { RecordKind } from "../records/recordKind";

const byKind = z.object({
  material: percentSchema,
  plant: percentSchema,
  subcontract: percentSchema,
  sundry: percentSchema,
  labour: percentSchema,
  allowance: percentSchema,
} satisfies Record<CostKind, typeof percentSchema>);

/** What a step's percentage is of: the bare cost, or everything before the step. */
export const STEP_BASES = ["cost", "before"] as const;
export type StepBase = (typeof STEP_BASES)[number];
const stepSchema = z.object({ percent: percentSchema, on: z.enum(STEP_BASES) });

/** A share of the price; at a hundred nothing would be left of it. */
const shareSchema = percentSchema.refine((text) => Number(text) < 100, "Less than 100 %.");

/** Decimal text with two places, zero or more. */
const wantedSchema = z.string().regex(/^\d{1,10}\.\d{2}$/, "An amount with two decimals.");

/** A price, a total with its tax, or a margin in percent that was typed: the difference is spread over what the kinds named come to. */
export const adjustSchema = z
  .object({
    of: z.enum(["price", "total", "margin"]),
    amount: wantedSchema,
    over: z.array(z.enum(COST_KINDS)).min(1).max(COST_KINDS.length),
  })
  .refine(({ of, amount }) => of !== "margin" || Number(amount) < 100, "A margin is less than 100 % of the price.");
export type Adjust = z.infer<typeof adjustSchema>;

/** How a job goes from cost to price. A company's own is the start of each new job's. */
export const pricingSchema = z.object({
  schemaVersion: z.literal(3),
  ratePerHour: amountSchema,
  crews: z.array(crewSchema).max(MOST_CREWS),
  tasks: z.array(taskSchema).max(200),
  /** What costs rise by until the work starts: so many months, compounded. */
  escalation: z.object({ months: z.int().min(0).max(60), percentAMonth: byKind }),
  overhead: stepSchema,
  contingency: stepSchema,
  markupPercent: byKind,
  profit: stepSchema,
  discountPercent: shareSchema,
  /** Given to who pays at once: taken off the price, or allowed for, so that the price is what is left after it. */
  promptPayment: z.object({ percent: shareSchema, how: z.enum(["taken-off", "allowed-for"]) }),
  adjust: adjustSchema.nullable(),
  tax: z.object({ name: z.string().min(1).max(40), percent: percentSchema }),
  extras: z.array(extraSchema).max(200),
  linesSet: z
    .record(z.string().min(1).max(300), lineSetSchema)
    .refine((lines) => Object.keys(lines).length <= MOST_LINES_SET, `At most ${MOST_LINES_SET} lines are set by hand.`),
});
export type Pricing = z.infer<typeof pricingSchema>;

const UNIT_NAMES: Readonly<Record<string, string>> = {
  m: "length",
  "m²": "area",
  m2: "area",
  "m³": "volume",
  kg: "weight",
};

const NONE_BY_KIND = Object.fromEntries(COST_KINDS.map((kind) => [kind, "0"]));

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
  {
    // What was marked up as material goes on being marked up as it was.
    to: 3,
    name: "steps-and-crews",
    up: ({ overheadPercent, ...pricing }) => {
      const markup = recordOf(pricing.markupPercent);
      return {
        ...pricing,
        crews: [],
        escalation: { months: 0, percentAMonth: NONE_BY_KIND },
        overhead: { percent: overheadPercent, on: "cost" },
        contingency: { percent: "0", on: "before" },
        markupPercent: { ...markup, sundry: markup.material, allowance: markup.material },
        profit: { percent: "0", on: "before" },
        discountPercent: "0",
        promptPayment: { percent: "0", how: "taken-off" },
        adjust: null,
        linesSet: {},
        // A sum was one of itself.
        extras: recordsOf(pricing.extras).map((extra) => ({
          ...extra,
          section: "",
          quantity: "1",
          unit: "sum",
          minutes: "0",
          trade: "",
        })),
      };
    },
  },
];

export const pricingRecord: RecordKind<Pricing> = {
  name: "Pricing",
  schema: pricingSchema,
  migrations: pricingMigrations,
};
