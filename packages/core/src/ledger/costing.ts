import Big from "big.js";
import { z } from "zod";
import { amountSchema } from "../order/priceItem";
import { toMoney } from "../units";
import { COST_KINDS } from "./costKinds";

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
});
export type Extra = z.infer<typeof extraSchema>;

/** The rate or the hours of one line of the ledger, set by a person in the place of what comes out. */
export const lineSetSchema = z.object({ rate: amountSchema.optional(), hours: amountSchema.optional() });
export type LineSet = z.infer<typeof lineSetSchema>;
export const MOST_LINES_SET = 2000;

/** What makes a count cost something, beside the price list. */
export type Costing = {
  readonly ratePerHour: string;
  readonly crews: readonly Crew[];
  readonly tasks: readonly Task[];
  readonly extras: readonly Extra[];
  /** By the ids of lines of the ledger. */
  readonly linesSet: Readonly<Record<string, LineSet>>;
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
