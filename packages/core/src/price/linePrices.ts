import type { LedgerLine } from "../ledger/records";
import { type Money, roundToTotal } from "../units";
import type { Adjusted } from "./adjusted";
import type { Pricing } from "./pricing";
import { riseOf } from "./steps";

const share = (percent: string): number => Number(percent) / 100;

/** What steps make of each line's cost, as they make the price of all costs. Not rounded. */
function exactPrice(pricing: Pricing, adjusted: Adjusted | undefined): (line: LedgerLine) => number {
  const { escalation, overhead, contingency, profit, promptPayment } = pricing;
  const takenOff =
    promptPayment.how === "taken-off" ? 1 - share(promptPayment.percent) : 1 / (1 - share(promptPayment.percent));
  const discounts = (1 - share(pricing.discountPercent)) * takenOff;
  const typed = new Map(
    adjusted?.byKind.map(({ kind, before, difference }) => [kind, Number(difference) / Number(before)]),
  );
  const rises = new Map<string, number>();
  return ({ kind, cost: money, markupPercent }) => {
    const cost = Number(money);
    const rise = rises.get(kind) ?? Number(riseOf(escalation.percentAMonth[kind], escalation.months));
    rises.set(kind, rise);
    const risen = cost * (1 + rise);
    const burdened = risen + share(overhead.percent) * (overhead.on === "cost" ? cost : risen);
    const full = burdened + share(contingency.percent) * (contingency.on === "cost" ? cost : burdened);
    const marked = full + risen * share(markupPercent);
    const profited = marked + share(profit.percent) * (profit.on === "cost" ? cost : marked);
    return profited * discounts + risen * (1 + share(markupPercent)) * (typed.get(kind) ?? 0);
  };
}

/** The price before tax spread over the lines that it follows from, every step with it. Adds up to it, to the cent. */
export const linePrices = (
  ledger: readonly LedgerLine[],
  pricing: Pricing,
  priceBeforeTax: Money,
  adjusted: Adjusted | undefined,
): Money[] => roundToTotal(priceBeforeTax, ledger.map(exactPrice(pricing, adjusted)));
