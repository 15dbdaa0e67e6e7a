import { type Nanometres, toMetres } from "../units";

export type StockLength = { readonly lengthNm: Nanometres; readonly price: string | null };
export type BoughtLength = { readonly stock: StockLength; readonly quantity: number };

/** Finer steps than this along the best stock length and the table is long: lengths are then rounded down to coarser ones. */
const MOST_STEPS = 240;

/** Less than any difference of prices comes to. */
const HAIR_A_BAR = 1e-7;

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b));

/** By price, or by length where a price is not known; of two ways that cost the same, the one with fewer lengths. */
function costsOf(stock: readonly StockLength[]): number[] {
  const priced = stock.every((each) => each.price !== null);
  return stock.map(({ lengthNm, price }) => (priced ? Number(price) : toMetres(lengthNm)) + HAIR_A_BAR);
}

/**
 * The cheapest stock lengths that hold a running length joined end to end, the longest first.
 *
 * All but a tail is of the length that is cheapest for each metre: with steps of the lengths' common measure, as many other
 * bars as the best has steps hold a group that whole best bars could stand for (common argument on covering by coins). The
 * tail is found by a table over those steps.
 */
export function cheapestLengths(neededNm: Nanometres, stock: readonly StockLength[]): BoughtLength[] {
  if (neededNm <= 0 || stock.length === 0) return [];
  const costs = costsOf(stock);
  const rate = (index: number): number => (costs[index] ?? 0) / (stock[index]?.lengthNm ?? 1);
  const best = stock.reduce((leader, _, index) => (rate(index) < rate(leader) ? index : leader), 0);
  const bestNm = stock[best]?.lengthNm ?? 1;
  const common = stock.reduce((divisor, each) => greatestCommonDivisor(each.lengthNm, divisor), bestNm);
  const step = bestNm / common <= MOST_STEPS ? common : Math.ceil(bestNm / MOST_STEPS);
  const longestNm = Math.max(...stock.map((each) => each.lengthNm));
  const tailNm = Math.ceil(bestNm / step) * longestNm;
  const full = Math.max(0, Math.floor((neededNm - tailNm) / bestNm));
  const counts = tailCounts(Math.ceil((neededNm - full * bestNm) / step), step, stock, costs);
  counts[best] = (counts[best] ?? 0) + full;
  const bought = stock.map((each, index) => ({ stock: each, quantity: counts[index] ?? 0 }));
  return bought.filter((each) => each.quantity > 0).toSorted((a, b) => b.stock.lengthNm - a.stock.lengthNm);
}

/** How many of each length cover so many steps at the least cost. */
function tailCounts(steps: number, step: number, stock: readonly StockLength[], costs: readonly number[]): number[] {
  const cost = new Float64Array(steps + 1);
  const last = new Int16Array(steps + 1).fill(-1);
  const sizes = stock.map((each) => Math.max(1, Math.floor(each.lengthNm / step)));
  for (let at = 1; at <= steps; at += 1) {
    let least = Number.POSITIVE_INFINITY;
    for (let index = 0; index < sizes.length; index += 1) {
      const with_ = (cost[Math.max(0, at - (sizes[index] ?? 1))] ?? 0) + (costs[index] ?? 0);
      if (with_ < least) [least, last[at]] = [with_, index];
    }
    cost[at] = least;
  }
  const counts = stock.map(() => 0);
  for (let at = steps; at > 0; at -= sizes[last[at] ?? 0] ?? 1) {
    const index = last[at] ?? 0;
    counts[index] = (counts[index] ?? 0) + 1;
  }
  return counts;
}
