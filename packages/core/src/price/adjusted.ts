import Big from "big.js";
import { allocateMoney, type Money, percentOf, sumMoney, toMoney } from "../units";
import type { Adjust, Pricing } from "./pricing";
import type { KindTotal, Steps } from "./steps";

/** A typed price in force: what it was before, and what each kind was changed by. Adds up to the difference. */
export type Adjusted = {
  readonly before: Money;
  readonly difference: Money;
  readonly byKind: readonly { readonly kind: KindTotal["kind"]; readonly before: Money; readonly difference: Money }[];
};

/** The price before tax that gives a total with it, as near as cents allow: where none gives it exactly, the nearest below. */
export function priceForTotal(total: Money, taxPercent: string): Money {
  const about = toMoney(new Big(total).div(new Big(taxPercent).div(100).plus(1)));
  const near = [-1, 0, 1].map((cents) => toMoney(new Big(about).plus(new Big(cents).div(100))));
  const withTax = (price: Money) => new Big(sumMoney([price, percentOf(price, taxPercent)]));
  const below = near.filter((price) => withTax(price).lte(total));
  return below.findLast((price) => withTax(price).eq(total)) ?? below.at(-1) ?? about;
}

/** The price of which so much is left once everything is paid: 800 at 20 % is 1,000. For a margin under 100. */
export const priceForMargin = (fullCost: Money, marginPercent: string): Money =>
  toMoney(new Big(fullCost).div(new Big(1).minus(new Big(marginPercent).div(100))));

/** The price before tax that was asked for. */
export function wantedPrice({ of, amount }: Adjust, fullCost: Money, tax: Pricing["tax"]): Money {
  if (of === "margin") return priceForMargin(fullCost, amount);
  return of === "price" ? amount : priceForTotal(amount, tax.percent);
}

/**
 * What a typed price changes: the difference over the kinds that it is to be spread over, by what each comes to with its markup; over
 * all that cost something where none of those does.
 */
export function adjustedTo(
  { price, kinds, fullCost }: Pick<Steps, "price" | "kinds" | "fullCost">,
  adjust: Adjust,
  tax: Pricing["tax"],
): Adjusted {
  const difference = toMoney(new Big(wantedPrice(adjust, fullCost, tax)).minus(price));
  const worth = (total: KindTotal) => sumMoney([total.cost, total.escalation, total.markup]);
  const some = kinds.filter((total) => adjust.over.includes(total.kind) && worth(total) !== "0.00");
  const over = some.length > 0 ? some : kinds.filter((total) => worth(total) !== "0.00");
  const shares = allocateMoney(
    difference,
    over.map((total) => Number(worth(total))),
  );
  const byKind = over.map((total, index) => ({
    kind: total.kind,
    before: worth(total),
    difference: shares[index] ?? "0.00",
  }));
  return { before: price, difference, byKind };
}
