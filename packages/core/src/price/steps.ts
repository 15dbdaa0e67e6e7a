import Big from "big.js";
import { COST_KINDS, type CostKind } from "../ledger/records";
import { type Money, percentOf, sumMoney, toMoney } from "../units";
import type { Pricing, StepBase } from "./pricing";

export type KindCosts = Readonly<Record<CostKind, Money>>;

/** Of one kind of cost: what it is now, what it rises by until the work starts, and the markup on both. */
export type KindTotal = {
  readonly kind: CostKind;
  readonly cost: Money;
  readonly escalation: Money;
  readonly markupPercent: string;
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

function kindTotal(kind: CostKind, cost: Money, { escalation, markupPercent }: Pricing): KindTotal {
  const percent = markupPercent[kind];
  // Most kinds cost most parts nothing, and most work starts soon: steps are worked out once for each part.
  if (cost === "0.00") return { kind, cost, escalation: cost, markupPercent: percent, markup: cost };
  const { months, percentAMonth } = escalation;
  const rise = months === 0 ? "0.00" : toMoney(riseOf(percentAMonth[kind], months).times(cost));
  return { kind, cost, escalation: rise, markupPercent: percent, markup: percentOf(sumMoney([cost, rise]), percent) };
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

export function stepsOf(costs: KindCosts, pricing: Pricing): Steps {
  const kinds = COST_KINDS.map((kind) => kindTotal(kind, costs[kind], pricing));
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
