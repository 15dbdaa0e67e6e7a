import Big from "big.js";
import type { PartCount } from "../count";
import { type LedgerLine, makeLedger, type Productivity } from "../ledger";
import type { Order, PriceItem } from "../order";
import { type Problem, problem } from "../problems/problem";
import { type MeasuringSystem, type Money, percentOf, sumMoney, toMoney } from "../units";
import { type Adjusted, adjustedTo } from "./adjusted";
import { type CostLine, costLines } from "./costLines";
import { kindCostsOf } from "./kindCosts";
import { type PartPrice, partPrices } from "./partPrices";
import type { Pricing } from "./pricing";
import { type Steps, stepsOf } from "./steps";

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
  readonly taxPercent: string;
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
  const costs = kindCostsOf(ledger);
  const reached = stepsOf(costs, pricing);
  const { price, ...steps } = reached;
  const adjusted = pricing.adjust ? adjustedTo(reached, pricing.adjust, pricing.tax) : undefined;
  const priceBeforeTax = sumMoney([price, adjusted?.difference ?? "0.00"]);
  const profitMade = toMoney(new Big(priceBeforeTax).minus(steps.fullCost));
  const tax = percentOf(priceBeforeTax, pricing.tax.percent);
  return {
    ...steps,
    ledger,
    lines: costLines(ledger, order, system),
    adjusted,
    priceBeforeTax,
    taxName: pricing.tax.name,
    taxPercent: pricing.tax.percent,
    tax,
    total: sumMoney([priceBeforeTax, tax]),
    profitMade,
    markupOnCostPercent: share(profitMade, steps.fullCost),
    marginOnPricePercent: share(profitMade, priceBeforeTax),
    labourHours: hoursOf(ledger),
    byPart: partPrices(counts, ledger, costs, pricing, price, adjusted),
    problems: [
      ...order.problems,
      ...missingPrices(order),
      ...missingTasks(counts, pricing),
      ...belowCost(profitMade, priceBeforeTax),
      ...steepTax(pricing),
      ...setOfGone(ledger, pricing),
      ...retiredInUse(order, priceList),
    ],
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

/** Whether another problem says already that a line has no price. Others of the same item do not. */
const saysNoPrice = ({ code, path }: Problem, line: Order["lines"][number]): boolean =>
  path === line.itemCode && (code === "no-price-item" || code === "unit-mismatch");

const missingPrices = (order: Order): Problem[] =>
  order.lines
    .filter((line) => line.unitPrice === null && !order.problems.some((each) => saysNoPrice(each, line)))
    .map((line) => problem("no-price", line.itemCode, `${line.description} has no price in the price list.`));

function missingTasks(counts: readonly PartCount[], pricing: Pricing): Problem[] {
  const known = new Set(pricing.tasks.map((task) => task.id));
  const used = new Set(
    counts.flatMap(({ lines }) => lines.flatMap((line) => (line.unit === "hour" ? [] : (line.labourTask ?? [])))),
  );
  return [...used]
    .filter((task) => !known.has(task))
    .map((task) => problem("no-labour-task", `tasks.${task}`, `No hours are set for the labour task “${task}”.`));
}

/** Allowed, and said: discounts and typed prices can come to less than the job costs. */
const belowCost = (profitMade: Money, price: Money): Problem[] =>
  new Big(profitMade).lt(0) && price !== "0.00"
    ? [problem("below-cost", "adjust", `The price is ${toMoney(new Big(profitMade).abs())} less than the job costs.`)]
    : [];

/** No tax is more than the price: it is reckoned as entered, and said. */
const steepTax = ({ tax }: Pricing): Problem[] =>
  Number(tax.percent) > 100 ? [problem("steep-tax", "tax", `${tax.name} is ${tax.percent} %. Check it.`)] : [];

/** Kept, of no effect, and said. */
function setOfGone(ledger: readonly LedgerLine[], { linesSet }: Pricing): Problem[] {
  const ids = new Set(ledger.map(({ id }) => id));
  const gone = Object.keys(linesSet).filter((id) => !ids.has(id)).length;
  if (gone === 0) return [];
  const which =
    gone === 1 ? "One rate or time set by hand is for a line" : `${gone} rates or times set by hand are for lines`;
  return [problem("set-of-gone-lines", "linesSet", `${which} counted no longer.`)];
}

/** It goes on being counted and priced; somebody may not be able to buy it. */
function retiredInUse({ lines }: Order, priceList: readonly PriceItem[]): Problem[] {
  const used = new Set(lines.map(({ itemCode }) => itemCode));
  return priceList
    .filter(({ retired, code }) => retired && used.has(code))
    .map(({ code, name }) => problem("retired-item", code, `${name} is offered no longer, and this job needs it.`));
}
