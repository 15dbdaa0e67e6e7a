import { z } from "zod";
import {
  COST_KINDS,
  type CostKind,
  conditionSchema,
  crewSchema,
  extraSchema,
  lineSetSchema,
  MOST_CONDITIONS,
  MOST_CREWS,
  MOST_LINES_SET,
  MOST_TRADE_MARKUPS,
  percentSchema,
  type TaxClass,
  taskSchema,
  taxClassSchema,
  tradeMarkupSchema,
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

const taxByKind = z.object({
  material: taxClassSchema,
  plant: taxClassSchema,
  subcontract: taxClassSchema,
  sundry: taxClassSchema,
  labour: taxClassSchema,
  allowance: taxClassSchema,
} satisfies Record<CostKind, typeof taxClassSchema>);

/** Steps that the customer can read on a line of their own; the others are in the prices of the parts. */
export const APART_STEPS = ["contingency", "discount", "promptPayment"] as const;
export type ApartStep = (typeof APART_STEPS)[number];

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
  schemaVersion: z.literal(4),
  ratePerHour: amountSchema,
  crews: z.array(crewSchema).max(MOST_CREWS),
  tasks: z.array(taskSchema).max(200),
  /** Hours in all of some tasks, by their ids, in the place of what the count makes of them. */
  taskHours: z
    .record(z.string().min(1).max(60), amountSchema)
    .refine((tasks) => Object.keys(tasks).length <= 200, "At most 200 tasks have their hours set."),
  conditions: z.array(conditionSchema).max(MOST_CONDITIONS),
  /** What costs rise by until the work starts: so many months, compounded. */
  escalation: z.object({ months: z.int().min(0).max(60), percentAMonth: byKind }),
  overhead: stepSchema,
  contingency: stepSchema,
  markupPercent: byKind,
  markupByTrade: z.array(tradeMarkupSchema).max(MOST_TRADE_MARKUPS),
  profit: stepSchema,
  discountPercent: shareSchema,
  /** Given to who pays at once: taken off the price, or allowed for, so that the price is what is left after it. */
  promptPayment: z.object({ percent: shareSchema, how: z.enum(["taken-off", "allowed-for"]) }),
  adjust: adjustSchema.nullable(),
  /** `contained`: the customer reads prices with the tax in them, and what of the total it is. */
  tax: z.object({
    name: z.string().min(1).max(40),
    percent: percentSchema,
    reducedPercent: percentSchema,
    byKind: taxByKind,
    shown: z.enum(["added", "contained"]),
  }),
  apart: z.array(z.enum(APART_STEPS)).max(APART_STEPS.length),
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

const STANDARD_BY_KIND: Readonly<Record<string, TaxClass>> = Object.fromEntries(
  COST_KINDS.map((kind) => [kind, "standard"]),
);
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
  {
    // All was taxed alike, and marked up by its kind.
    to: 4,
    name: "tax-classes-and-conditions",
    up: (pricing) => ({
      ...pricing,
      taskHours: {},
      conditions: [],
      markupByTrade: [],
      apart: [],
      tax: { ...recordOf(pricing.tax), reducedPercent: "0", byKind: STANDARD_BY_KIND, shown: "added" },
      extras: recordsOf(pricing.extras).map((extra) => ({
        ...extra,
        covers: "",
        quotedBy: "",
        tax: null,
        measuredBy: null,
      })),
    }),
  },
];

export const pricingRecord: RecordKind<Pricing> = {
  name: "Pricing",
  schema: pricingSchema,
  migrations: pricingMigrations,
};
