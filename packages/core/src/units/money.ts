import Big from "big.js";

/** An amount as a decimal string with two places, `"1298.70"`: what is stored, sent and shown. */
export type Money = string;

/** Half away from zero to the cent. big.js's "half up" mode rounds the magnitude, so it is this for negatives too. */
export const roundMoney = (amount: Big): Big => amount.round(2, Big.roundHalfUp);

export const toMoney = (amount: Big): Money => roundMoney(amount).toFixed(2);

export const sumMoney = (amounts: readonly Money[]): Money =>
  toMoney(amounts.reduce((sum, amount) => sum.plus(amount), new Big(0)));

/** A price times a quantity, rounded at the line. */
export const priceTimes = (price: string, quantity: number | string): Money => toMoney(new Big(price).times(quantity));

/** `percentOf("250.00", "20")` → `"50.00"`. */
export const percentOf = (amount: Money, percent: string): Money => toMoney(new Big(amount).times(percent).div(100));

/**
 * Shares a total over weights so that the shares add up to it to the cent: each share is rounded down and the cents
 * left over go to the largest remainders. All to the first when no weight is above zero.
 */
export function allocateMoney(total: Money, weights: readonly number[]): Money[] {
  if (weights.length === 0) return [];
  const cents = new Big(total).times(100).round(0);
  const sum = weights.reduce((a, b) => a + b, 0);
  if (sum <= 0) return weights.map((_, index) => (index === 0 ? toMoney(new Big(total)) : "0.00"));
  // The share first, as a plain number: weights so small that they have no digits left would lose cents otherwise.
  const exact = weights.map((weight) => cents.times(weight / sum));
  const floors = exact.map((share) => share.round(0, Big.roundDown));
  const left = cents.minus(floors.reduce((a, b) => a.plus(b), new Big(0))).toNumber();
  const byRemainder = exact
    .map((share, index) => ({
      index,
      remainder: share
        .minus(floors[index] ?? 0)
        .abs()
        .toNumber(),
    }))
    .sort((a, b) => b.remainder - a.remainder || a.index - b.index);
  const step = left < 0 ? -1 : 1;
  const extra = new Set(byRemainder.slice(0, Math.abs(left)).map((entry) => entry.index));
  return floors.map((share, index) => toMoney(share.plus(extra.has(index) ? step : 0).div(100)));
}

/** `$1,298.70`, `£1,298.70`: the job's currency, in plain English notation. */
export function formatMoney(amount: Money, currency: string): string {
  const formatter = new Intl.NumberFormat("en", { style: "currency", currency, currencyDisplay: "narrowSymbol" });
  return formatter.format(Number(amount)).replace("-", "−");
}
