import Big from "big.js";
import { z } from "zod";
import { amountSchema } from "../order/priceItem";
import { toMoney } from "../units";
import { COST_KINDS, type CostKind } from "./costKinds";
import { type TaxClass, taxClassSchema } from "./taxClass";

export const percentSchema = z.string().regex(/^\d{1,3}(\.\d{1,3})?$/, "A percentage like 12.5, zero or more.");

export const taskSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(120),
  /** What one of is counted: `piece`, `sheet`; `area`, `length` and such where it is measured, in base units. */
  unit: z.string().min(1).max(20),
  /** Finer than money: what is said for 100 sq ft is kept for one square metre. */
  hoursPerUnit: z.string().regex(/^\d{1,9}(\.\d{1,8})?$/, "Hours like 0.35, zero or more."),
});
export type Task = z.infer<typeof taskSchema>;

/** People who work on some trades at a rate of their own. */
export const crewSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(120),
  ratePerHour: amountSchema,
  /** What an hour costs beyond the wage: insurance, holidays, travel. In percent of the rate. */
  onCostPercent: percentSchema,
  /** As the rules of assemblies name them. */
  trades: z.array(z.string().min(1).max(60)).max(60),
});
export type Crew = z.infer<typeof crewSchema>;
export const MOST_CREWS = 30;

/** A cost typed in beside what is counted: a hired saw, a subcontractor's sum, sockets with the minutes that each takes. */
export const extraSchema = z.object({
  id: z.string().min(1).max(40),
  kind: z.enum(COST_KINDS),
  description: z.string().trim().min(1, "Say what it is.").max(200),
  /** What it is put under; empty for none. */
  section: z.string().max(60),
  quantity: amountSchema,
  unit: z.string().max(20),
  /** For one. */
  cost: amountSchema,
  /** To fit one; nothing for what takes no time of ours. */
  minutes: amountSchema,
  /** Whose work that is, as crews name it; empty for the usual rate. */
  trade: z.string().max(60),
  /** Of a subcontractor's sum: what the customer gets for it, and who said it. Empty where nobody wrote it down. */
  covers: z.string().max(600),
  quotedBy: z.string().max(120),
  /** Null: as costs of its kind are. */
  tax: taxClassSchema.nullable(),
  /** The part that was measured in its place: once that is counted, this costs nothing more. */
  measuredBy: z.string().max(80).nullable(),
});
export type Extra = z.infer<typeof extraSchema>;

/** A typed cost of which no more is said than what it is and what it costs. */
export const newExtra = (id: string, kind: Extra["kind"], description: string, cost: string): Extra => ({
  id,
  kind,
  description,
  section: "",
  quantity: "1",
  unit: "sum",
  cost,
  minutes: "0",
  trade: "",
  covers: "",
  quotedBy: "",
  tax: null,
  measuredBy: null,
});

/** What makes work slower or faster than usual: tight access, height, people living there. In percent of the hours. */
export const conditionSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1, "Say what makes it so.").max(120),
  percent: percentSchema,
  /** The task it is for; empty for all work. */
  task: z.string().max(60),
  /** The part it is for; null for the whole job. */
  partId: z.string().max(80).nullable(),
});
export type Condition = z.infer<typeof conditionSchema>;
export const MOST_CONDITIONS = 60;

/** The markup of a trade, in the place of its kinds'. */
export const tradeMarkupSchema = z.object({ trade: z.string().min(1).max(60), percent: percentSchema });
export const MOST_TRADE_MARKUPS = 60;

/** What a person set for one line of the ledger in the place of what comes out: rate, hours, markup, tax. */
export const lineSetSchema = z.object({
  rate: amountSchema.optional(),
  hours: amountSchema.optional(),
  markupPercent: percentSchema.optional(),
  tax: taxClassSchema.optional(),
});
export type LineSet = z.infer<typeof lineSetSchema>;
export const MOST_LINES_SET = 2000;

/** What makes a count cost something, beside the price list. */
export type Costing = {
  readonly ratePerHour: string;
  readonly crews: readonly Crew[];
  readonly tasks: readonly Task[];
  /** Hours in all of some tasks, by their ids, whatever is counted. */
  readonly taskHours: Readonly<Record<string, string>>;
  readonly conditions: readonly Condition[];
  readonly extras: readonly Extra[];
  /** By the ids of lines of the ledger. */
  readonly linesSet: Readonly<Record<string, LineSet>>;
  /** What a line is marked up by: its own, else its trade's, else its kind's. */
  readonly markupPercent: Readonly<Record<CostKind, string>>;
  readonly markupByTrade: readonly z.infer<typeof tradeMarkupSchema>[];
  readonly tax: { readonly byKind: Readonly<Record<CostKind, TaxClass>> };
};

/** An hour of a crew with its on-costs, rounded to the cent: what is shown is what is multiplied. */
export const hourOfCrew = ({ ratePerHour, onCostPercent }: Pick<Crew, "ratePerHour" | "onCostPercent">): string =>
  toMoney(new Big(ratePerHour).times(new Big(onCostPercent).div(100).plus(1)));

/** Who does a trade: the first crew that has it, else everyone at the usual rate. */
export const crewOf = ({ crews }: Pick<Costing, "crews">, trade: string): Crew | undefined =>
  crews.find(({ trades }) => trades.includes(trade));

export function hourOfTrade(costing: Pick<Costing, "crews" | "ratePerHour">, trade: string): string {
  const crew = crewOf(costing, trade);
  return crew ? hourOfCrew(crew) : costing.ratePerHour;
}
