import Big from "big.js";
import type { PartCount } from "../count";
import { type LedgerLine, makeLedger, type Productivity } from "../ledger";
import type { Order, PriceItem } from "../order";
import type { Problem } from "../problems/problem";
import { type MeasuringSystem, type Money, sumMoney, toMoney } from "../units";
import { type Adjusted, adjustedTo } from "./adjusted";
import { type CostLine, costLines } from "./costLines";
import { markedCostsOf } from "./kindCosts";
import { type PartPrice, partPrices } from "./partPrices";
import type { Pricing } from "./pricing";
import { problemsOf } from "./problems";
import { type Steps, stepsOf } from "./steps";
import { type TaxShare, taxesOf, taxInAll } from "./taxes";

/** From cost to price, each step a figure that adds up to the next, to the cent. */
export type BuildUp = Omit<Steps, "price"> & {
  /** Every cost of the job as one line. */
  readonly ledger: readonly LedgerLine[];
  /** The same, as a price is read. */
  readonly lines: readonly CostLine[];
  /** Where a price was typed: what it was before, and what was changed. */
  readonly adjusted: Adjusted | undefined;
  readonly priceBeforeTax: Money;
  readonly taxName: string;
  /** By class, the usual first; one for most jobs. */
  readonly taxes: readonly TaxShare[];
  readonly tax: Money;
  readonly total: Money;
  /** What is left of the price when everything is paid. */
  readonly profitMade: Money;
  /** That as a share of full cost, and as a share of the price before tax. One decimal. */
  readonly markupOnCostPercent: string;
  readonly marginOnPricePercent: string;
  readonly labourHours: string;
  /** The price before tax by part; adds up to it. */
  readonly byPart: readonly PartPrice[];
  readonly problems: readonly Problem[];
};

export type BuildUpInput = {
  readonly counts: readonly PartCount[];
  readonly order: Order;
  readonly priceList: readonly PriceItem[];
  readonly pricing: Pricing;
  readonly productivity?: Productivity;
  /** What measured quantities are said in; nothing is reckoned by it. */
  readonly system: MeasuringSystem;
};

/** margin = markup ÷ (1 + markup): 20 % on cost is 16.67 % of the price. Arithmetic. */
export const marginFromMarkup = (markupPercent: string): string => {
  const markup = new Big(markupPercent).div(100);
  return markup.div(markup.plus(1)).times(100).round(2, Big.roundHalfUp).toString();
};

export function buildUpJob({ counts, order, priceList, pricing, productivity, system }: BuildUpInput): BuildUp {
  const paced = productivity ? { productivity } : {};
  const ledger = makeLedger({ counts, order, priceList, costing: pricing, system, ...paced });
  const costs = markedCostsOf(ledger);
  const reached = stepsOf(costs, pricing);
  const { price, ...steps } = reached;
  const adjusted = pricing.adjust
    ? adjustedTo(reached, pricing.adjust, (each, spread) => taxInAll(taxesOf(ledger, pricing, each, spread)))
    : undefined;
  const priceBeforeTax = sumMoney([price, adjusted?.difference ?? "0.00"]);
  const profitMade = toMoney(new Big(priceBeforeTax).minus(steps.fullCost));
  const taxes = taxesOf(ledger, pricing, priceBeforeTax, adjusted);
  const tax = taxInAll(taxes);
  return {
    ...steps,
    ledger,
    lines: costLines(ledger, order, system),
    adjusted,
    priceBeforeTax,
    taxName: pricing.tax.name,
    taxes,
    tax,
    total: sumMoney([priceBeforeTax, tax]),
    profitMade,
    markupOnCostPercent: share(profitMade, steps.fullCost),
    marginOnPricePercent: share(profitMade, priceBeforeTax),
    labourHours: hoursOf(ledger),
    byPart: partPrices(counts, ledger, costs, pricing, price, adjusted),
    problems: problemsOf({ counts, order, priceList, pricing, ledger }, profitMade, priceBeforeTax),
  };
}

function share(part: Money, whole: Money): string {
  if (new Big(whole).eq(0)) return "0.0";
  return new Big(part).div(whole).times(100).toFixed(1, Big.roundHalfUp);
}

const hoursOf = (ledger: readonly LedgerLine[]): string =>
  ledger
    .reduce((sum, { hours }) => (hours === "0" ? sum : sum.plus(hours)), new Big(0))
    .round(2)
    .toString();
