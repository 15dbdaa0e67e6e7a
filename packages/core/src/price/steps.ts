import Big from "big.js";
import { COST_KINDS, type CostKind } from "../ledger/records";
import { type Money, percentOf, sumMoney, toMoney } from "../units";
import type { MarkedCost, MarkedCosts } from "./kindCosts";
import type { Pricing, StepBase } from "./pricing";

/** Of one kind of cost: what it is now, what it rises by until the work starts, and the markup on both. */
export type KindTotal = {
  readonly kind: CostKind;
  readonly cost: Money;
  readonly escalation: Money;
  /** What it is marked up by: one for most, several where trades or lines have their own. */
  readonly markups: readonly { readonly percent: string; readonly base: Money; readonly amount: Money }[];
  readonly markup: Money;
};

/** A percentage, of what it is, and what it comes to; each rounded to the cent. */
export type Step = { readonly percent: string; readonly base: Money; readonly amount: Money };

/** From cost to the price before tax and before any total was typed. Each is a figure that adds up to the next. */
export type Steps = {
  readonly kinds: readonly KindTotal[];
  readonly cost: Money;
  readonly escalation: Money;
  readonly overhead: Step;
  readonly contingency: Step;
  /** Everything the job costs: what markup and margin are reckoned against. */
  readonly fullCost: Money;
  readonly markup: Money;
  readonly profit: Step;
  readonly discount: Step;
  readonly promptPayment: Step;
  readonly price: Money;
};

/** So much a month, compounded: 0.4 % in seven months is 2.83 % (arithmetic). Unrounded, as a share. */
export const riseOf = (percentAMonth: string, months: number): Big =>
  new Big(percentAMonth).div(100).plus(1).pow(months).minus(1);

function markupOf({ kind, markupPercent: percent, cost }: MarkedCost, { escalation }: Pricing) {
  const { months, percentAMonth } = escalation;
  // Most kinds cost most parts nothing, and most work starts soon: steps are worked out once for each part.
  const rise = months === 0 || cost === "0.00" ? "0.00" : toMoney(riseOf(percentAMonth[kind], months).times(cost));
  const base = rise === "0.00" ? cost : sumMoney([cost, rise]);
  return { percent, cost, rise, base, amount: cost === "0.00" ? cost : percentOf(base, percent) };
}

function kindTotal(kind: CostKind, costs: MarkedCosts, pricing: Pricing): KindTotal {
  const own = [...costs.values()].filter((each) => each.kind === kind);
  const marked = own.map((each) => markupOf(each, pricing));
  return {
    kind,
    cost: sumMoney(marked.map((each) => each.cost)),
    escalation: sumMoney(marked.map((each) => each.rise)),
    markups: marked.map(({ percent, base, amount }) => ({ percent, base, amount })),
    markup: sumMoney(marked.map((each) => each.amount)),
  };
}

const stepOn = ({ percent, on }: { percent: string; on: StepBase }, cost: Money, before: Money): Step => {
  const base = on === "cost" ? cost : before;
  return { percent, base, amount: percentOf(base, percent) };
};

const less = (base: Money, percent: string): Step => ({
  percent,
  base,
  amount: toMoney(new Big(percentOf(base, percent)).neg()),
});

/** Taken off; or added, so that it can be taken off and the price is left: 100 at 2.5 % is 102.56. */
function promptPaymentOn(before: Money, { percent, how }: Pricing["promptPayment"]): Step {
  if (how === "taken-off") return less(before, percent);
  const with_ = new Big(before).div(new Big(1).minus(new Big(percent).div(100)));
  return { percent, base: before, amount: toMoney(with_.minus(before)) };
}

export function stepsOf(costs: MarkedCosts, pricing: Pricing): Steps {
  const kinds = COST_KINDS.map((kind) => kindTotal(kind, costs, pricing));
  const cost = sumMoney(kinds.map((each) => each.cost));
  const escalation = sumMoney(kinds.map((each) => each.escalation));
  const risen = sumMoney([cost, escalation]);
  const overhead = stepOn(pricing.overhead, cost, risen);
  const burdened = sumMoney([risen, overhead.amount]);
  const contingency = stepOn(pricing.contingency, cost, burdened);
  const fullCost = sumMoney([burdened, contingency.amount]);
  const markup = sumMoney(kinds.map((each) => each.markup));
  const marked = sumMoney([fullCost, markup]);
  const profit = stepOn(pricing.profit, cost, marked);
  const profited = sumMoney([marked, profit.amount]);
  const discount = less(profited, pricing.discountPercent);
  const discounted = sumMoney([profited, discount.amount]);
  const promptPayment = promptPaymentOn(discounted, pricing.promptPayment);
  return {
    kinds,
    cost,
    escalation,
    overhead,
    contingency,
    fullCost,
    markup,
    profit,
    discount,
    promptPayment,
    price: sumMoney([discounted, promptPayment.amount]),
  };
}
