import Big from "big.js";

/** An amount as a decimal string with two places, `"1298.70"`: what is stored, sent and shown. */
export type Money = string;

/** Half away from zero to the cent. big.js's "half up" mode rounds the magnitude, so it is this for negatives too. */
export const roundMoney = (amount: Big): Big => amount.round(2, Big.roundHalfUp);

export const toMoney = (amount: Big): Money => roundMoney(amount).toFixed(2);

/** Whole cents, exact however many there are; what is finer is rounded. */
export const centsOf = (amount: Money): bigint =>
  amount.at(-3) === "." ? BigInt(amount.replace(".", "")) : BigInt(roundMoney(new Big(amount)).times(100).toFixed(0));

export function moneyOfCents(cents: bigint): Money {
  const digits = (cents < 0n ? -cents : cents).toString().padStart(3, "0");
  return `${cents < 0n ? "-" : ""}${digits.slice(0, -2)}.${digits.slice(-2)}`;
}

/** Below this whole cents are exact as plain numbers, and many thousands of them still are when added. */
const PLAIN_CENTS = 1e10;

/** Exact, whatever the amounts; plain numbers where they are that too, as most are. */
export function sumMoney(amounts: readonly Money[]): Money {
  let sum = 0;
  for (const amount of amounts) {
    const cents = Math.round(Number(amount) * 100);
    if (Math.abs(cents) > PLAIN_CENTS || amount.at(-3) !== ".")
      return moneyOfCents(amounts.reduce((all, each) => all + centsOf(each), 0n));
    sum += cents;
  }
  return moneyOfCents(BigInt(sum));
}

/** One amount less another. */
export const lessMoney = (amount: Money, less: Money): Money => moneyOfCents(centsOf(amount) - centsOf(less));

/** A price times a quantity, rounded at the line. */
export const priceTimes = (price: string, quantity: number | string): Money => toMoney(new Big(price).times(quantity));

/** To divide takes far longer, and comes to the same. */
const HUNDREDTH = new Big("0.01");

/** `percentOf("250.00", "20")` → `"50.00"`. */
export const percentOf = (amount: Money, percent: string): Money =>
  toMoney(new Big(amount).times(percent).times(HUNDREDTH));

/** Shares are kept as so many of these parts of one: finer than any remainder that could matter. */
const RATIO_BITS = 53n;
const RATIO_ONE = 2 ** Number(RATIO_BITS);

/**
 * Shares a total over weights so that the shares add up to it to the cent: each share is rounded down and the cents
 * left over go to the largest remainders. All to the first when no weight is above zero.
 */
export function allocateMoney(total: Money, weights: readonly number[]): Money[] {
  if (weights.length === 0) return [];
  const cents = centsOf(total);
  const sum = weights.reduce((a, b) => a + b, 0);
  if (sum <= 0) return weights.map((_, index) => (index === 0 ? moneyOfCents(cents) : "0.00"));
  const size = cents < 0n ? -cents : cents;
  // The share first, as a plain number: weights so small that they have no digits left would lose cents otherwise.
  const exact = weights.map((weight) => size * BigInt(Math.round((weight / sum) * RATIO_ONE)));
  const shares = exact.map((share) => share >> RATIO_BITS);
  let left = size - shares.reduce((a, b) => a + b, 0n);
  const byRemainder = exact
    .map((share, index) => ({ index, remainder: BigInt.asUintN(Number(RATIO_BITS), share) }))
    .sort((a, b) => (a.remainder === b.remainder ? a.index - b.index : a.remainder > b.remainder ? -1 : 1));
  const step = left < 0n ? -1n : 1n;
  for (const { index } of byRemainder) {
    if (left === 0n) break;
    shares[index] = (shares[index] ?? 0n) + step;
    left -= step;
  }
  // Beyond any real amount ratios are too coarse for the last cents: they are the first one's.
  shares[0] = (shares[0] ?? 0n) + left;
  return shares.map((share) => moneyOfCents(cents < 0n ? -share : share));
}

/**
 * Amounts as money that adds up to a total: each rounded down to the cent, and the cents left over given to the largest remainders.
 * For amounts that come near the total already, of whatever sign: what is missing is spread by their sizes first.
 */
export function roundToTotal(total: Money, amounts: readonly number[]): Money[] {
  const cents = Number(centsOf(total));
  const size = amounts.reduce((sum, amount) => sum + Math.abs(amount), 0);
  if (size === 0) return allocateMoney(total, amounts);
  const missing = cents - 100 * amounts.reduce((sum, amount) => sum + amount, 0);
  const exact = amounts.map((amount) => 100 * amount + (missing * Math.abs(amount)) / size);
  const shares = exact.map((amount) => BigInt(Math.floor(amount)));
  let left = centsOf(total) - shares.reduce((a, b) => a + b, 0n);
  const byRemainder = exact
    .map((amount, index) => ({ index, remainder: amount - Math.floor(amount) }))
    .sort((a, b) => b.remainder - a.remainder || a.index - b.index);
  for (const { index } of byRemainder) {
    if (left <= 0n) break;
    shares[index] = (shares[index] ?? 0n) + 1n;
    left -= 1n;
  }
  // What plain numbers are too coarse for is the first one's.
  shares[0] = (shares[0] ?? 0n) + left;
  return shares.map(moneyOfCents);
}

/** `$1,298.70`, `£1,298.70`: the job's currency, in plain English notation. */
export function formatMoney(amount: Money, currency: string): string {
  const formatter = new Intl.NumberFormat("en", { style: "currency", currency, currencyDisplay: "narrowSymbol" });
  return formatter.format(Number(amount)).replace("-", "−");
}

/** `+$1.20`, `−$1.20`, `$0.00`: what an amount is more or less by. */
export const formatChange = (amount: Money, currency: string): string =>
  `${Number(amount) > 0 ? "+" : ""}${formatMoney(amount, currency)}`;
