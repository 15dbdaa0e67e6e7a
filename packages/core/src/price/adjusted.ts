import Big from "big.js";
import { allocateMoney, lessMoney, type Money, sumMoney, toMoney } from "../units";
import type { Adjust } from "./pricing";
import type { KindTotal, Steps } from "./steps";

/** A typed price in force: what it was before, and what each kind was changed by. Adds up to the difference. */
export type Adjusted = {
  readonly before: Money;
  readonly difference: Money;
  readonly byKind: readonly { readonly kind: KindTotal["kind"]; readonly before: Money; readonly difference: Money }[];
};

/** Rounding of tax by class leaves no more cents than these to look among. */
const CENTS_AROUND = [-3, -2, -1, 0, 1, 2, 3];
const FAR_APART = "1000.00";

/**
 * The price before tax that gives a total with it, as near as cents allow: where none gives it exactly, the nearest below. The total
 * rises evenly with the price, whatever share of it is taxed, so that two prices say where it is met. Never below nothing.
 */
export function priceForTotal(total: Money, taxOn: (price: Money) => Money): Money {
  const withTax = (price: Money) => new Big(sumMoney([price, taxOn(price)]));
  const atNone = withTax("0.00");
  const far = Number(total) < Number(FAR_APART) ? FAR_APART : total;
  const slope = withTax(far).minus(atNone).div(far);
  if (slope.lte(0)) return total;
  const about = new Big(total).minus(atNone).div(slope);
  const near = CENTS_AROUND.map((cents) => toMoney(about.plus(new Big(cents).div(100)))).filter(
    (price) => Number(price) >= 0,
  );
  const below = near.filter((price) => withTax(price).lte(total));
  return below.findLast((price) => withTax(price).eq(total)) ?? below.at(-1) ?? "0.00";
}

/** The price of which so much is left once everything is paid: 800 at 20 % is 1,000. For a margin under 100. */
export const priceForMargin = (fullCost: Money, marginPercent: string): Money =>
  toMoney(new Big(fullCost).div(new Big(1).minus(new Big(marginPercent).div(100))));

/** The price before tax that was asked for. */
function wantedPrice({ of, amount }: Adjust, fullCost: Money, taxOn: (price: Money) => Money): Money {
  if (of === "margin") return priceForMargin(fullCost, amount);
  return of === "price" ? amount : priceForTotal(amount, taxOn);
}

type Reached = Pick<Steps, "price" | "kinds">;

/**
 * What another price changes: the difference over the kinds that it is to be spread over, by what each comes to with its markup; over
 * all that cost something where none of those does.
 */
function spreadTo({ price, kinds }: Reached, wanted: Money, kindsOver: Adjust["over"]): Adjusted {
  const difference = lessMoney(wanted, price);
  const worth = (total: KindTotal) => sumMoney([total.cost, total.escalation, total.markup]);
  const some = kinds.filter((total) => kindsOver.includes(total.kind) && worth(total) !== "0.00");
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

/** A typed price in force; `taxOn` says the tax on a price once it is spread so. */
export function adjustedTo(
  reached: Reached & Pick<Steps, "fullCost">,
  adjust: Adjust,
  taxOn: (price: Money, adjusted: Adjusted) => Money,
): Adjusted {
  const spread = (price: Money) => spreadTo(reached, price, adjust.over);
  return spread(wantedPrice(adjust, reached.fullCost, (price) => taxOn(price, spread(price))));
}
