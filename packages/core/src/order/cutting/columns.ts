import { type CutProblem, cheapestHolding, type Pattern } from "./cutProblem";
import { inSteps, Knapsack } from "./knapsack";

/** A pattern with how often the relaxed answer uses it; a fraction as a rule. */
export type Weighted = { readonly pattern: Pattern; readonly weight: number };

export type Relaxed = {
  /** No list costs less than this: proven at every round, by the prices that the round puts on pieces. */
  readonly bound: number;
  readonly used: readonly Weighted[];
  readonly done: boolean;
};

type Column = { readonly pattern: Pattern; readonly cost: number };
const HAIR = 1e-9;

/** Near enough to stop: the bound is within a fiftieth of a percent of the relaxed answer. */
const NEAR = 2e-4;
/** How much of the best prices so far goes into the next ones: it keeps the search from swinging to and fro. */
const STEADY = 0.7;

/**
 * The cutting problem with parts of bars allowed: the bound of Gilmore and Gomory (1961), by generating patterns as they are
 * wanted. A round is one step of the simplex method with an explicit inverse, on prices steadied after Wentges (1997). Each
 * round yields the bound it proves (Farley, 1990), so that it can be broken off. `known` are patterns to begin with.
 */
export function* relax(problem: CutProblem, known: readonly Pattern[]): Generator<Relaxed, void> {
  const master = new Master(problem);
  for (const pattern of known) master.offer({ pattern, cost: problem.stock[pattern.stock]?.cost ?? 0 });
  const counts = problem.demands.map((demand) => demand.count);
  const knapsack = new Knapsack(inSteps(problem), counts);
  let bound = 0;
  let best: Float64Array | undefined;
  for (;;) {
    const prices = master.prices();
    let entered = false;
    for (const steady of best ? [STEADY, 0] : [0]) {
      const tried = steadied(prices, best, steady);
      knapsack.solve(tried);
      const proven = farley(problem, master.value(tried), knapsack);
      if (proven > bound) [bound, best] = [proven, tried];
      entered = enterBest(problem, master, knapsack);
      if (entered) break;
    }
    const done = !entered || bound >= master.cost() * (1 - NEAR);
    yield { bound, used: master.used(), done };
    if (done) return;
  }
}

const steadied = (prices: Float64Array, best: Float64Array | undefined, share: number): Float64Array =>
  best && share > 0
    ? prices.map((price, index) => share * (best[index] ?? 0) + (1 - share) * price)
    : Float64Array.from(prices);

/** Prices scaled until no pattern is worth more than its stock costs: what they then put on all pieces is a bound. */
function farley({ stock }: CutProblem, value: number, knapsack: Knapsack): number {
  let scale = Number.POSITIVE_INFINITY;
  for (const [index, each] of stock.entries()) {
    const worth = knapsack.worthOf(index);
    if (worth > HAIR) scale = Math.min(scale, each.cost / worth);
  }
  return Number.isFinite(scale) ? value * Math.min(1, scale) : 0;
}

/** Lets each stock's best pattern in, while it still saves. Whether any did. */
function enterBest(problem: CutProblem, master: Master, knapsack: Knapsack): boolean {
  let entered = false;
  const order = problem.stock
    .map(({ cost }, index) => ({ index, cost, worth: knapsack.worthOf(index) / cost }))
    .toSorted((a, b) => b.worth - a.worth);
  for (const { index, cost } of order) {
    entered = master.offer({ pattern: { stock: index, cuts: knapsack.pattern(index) }, cost }) || entered;
  }
  return entered;
}

/** The patterns in use, the inverse of their matrix, and how often each is used. */
class Master {
  private readonly size: number;
  private readonly columns: Column[];
  private readonly inverse: Float64Array[];
  private readonly levels: Float64Array;
  private readonly duals: Float64Array;

  /** Begins with each piece by itself, as often as it goes into the cheapest stock for it. */
  constructor(private readonly problem: CutProblem) {
    const { demands, sizes, stock } = problem;
    this.size = demands.length;
    this.levels = new Float64Array(this.size);
    this.duals = new Float64Array(this.size);
    this.columns = demands.map(({ count }, index) => {
      const size = sizes[index] ?? 0;
      const ways = stock.map((each, at) => {
        const times = Math.min(count, Math.floor(each.holds / size));
        return { at, times, perPiece: times > 0 ? each.cost / times : Number.POSITIVE_INFINITY };
      });
      const best = ways.reduce((a, b) => (b.perPiece < a.perPiece ? b : a));
      const cuts = [[index, Math.max(1, best.times)]] as const;
      return { pattern: { stock: best.at, cuts }, cost: stock[best.at]?.cost ?? 0 };
    });
    this.inverse = this.columns.map(({ pattern }, row) => {
      const times = pattern.cuts[0]?.[1] ?? 1;
      this.levels[row] = (demands[row]?.count ?? 0) / times;
      const line = new Float64Array(this.size);
      line[row] = 1 / times;
      return line;
    });
  }

  prices(): Float64Array {
    this.duals.fill(0);
    for (let row = 0; row < this.size; row += 1) {
      const cost = this.columns[row]?.cost ?? 0;
      const line = this.inverse[row];
      if (!line || cost === 0) continue;
      for (let at = 0; at < this.size; at += 1) this.duals[at] = (this.duals[at] ?? 0) + cost * (line[at] ?? 0);
    }
    // A piece more never saves: a price below nothing is rounding.
    for (let at = 0; at < this.size; at += 1) this.duals[at] = Math.max(0, this.duals[at] ?? 0);
    return this.duals;
  }

  value(prices: Float64Array): number {
    return this.problem.demands.reduce((sum, { count }, index) => sum + count * (prices[index] ?? 0), 0);
  }

  cost(): number {
    return this.columns.reduce((sum, { cost }, row) => sum + cost * (this.levels[row] ?? 0), 0);
  }

  used(): Weighted[] {
    return this.columns
      .map(({ pattern }, row) => ({ pattern, weight: this.levels[row] ?? 0 }))
      .filter(({ weight, pattern }) => weight > HAIR && pattern.cuts.length > 0);
  }

  /** Lets a column in where it saves at the prices as they are now. Whether it did. */
  offer(column: Column): boolean {
    const prices = this.prices();
    const worth = column.pattern.cuts.reduce((sum, [item, times]) => sum + times * (prices[item] ?? 0), 0);
    return worth > column.cost * (1 + 1e-7) && this.enter(column);
  }

  /** One exchange: the column comes in, the one that runs out first goes. False where it changes nothing. */
  enter(column: Column): boolean {
    const change = new Float64Array(this.size);
    for (let row = 0; row < this.size; row += 1) {
      const line = this.inverse[row];
      let sum = 0;
      for (const [item, times] of column.pattern.cuts) sum += (line?.[item] ?? 0) * times;
      change[row] = sum;
    }
    let leaving = -1;
    let ratio = Number.POSITIVE_INFINITY;
    for (let row = 0; row < this.size; row += 1) {
      const by = change[row] ?? 0;
      if (by <= HAIR) continue;
      const each = (this.levels[row] ?? 0) / by;
      if (each < ratio - HAIR) [leaving, ratio] = [row, each];
    }
    if (leaving < 0) return false;
    this.exchange(leaving, column, change, Math.max(0, ratio));
    return true;
  }

  private exchange(leaving: number, column: Column, change: Float64Array, ratio: number): void {
    const pivot = change[leaving] ?? 1;
    const out = this.inverse[leaving] ?? new Float64Array(this.size);
    for (let at = 0; at < this.size; at += 1) out[at] = (out[at] ?? 0) / pivot;
    for (let row = 0; row < this.size; row += 1) {
      const by = change[row] ?? 0;
      if (row === leaving || by === 0) continue;
      const line = this.inverse[row];
      if (!line) continue;
      for (let at = 0; at < this.size; at += 1) line[at] = (line[at] ?? 0) - by * (out[at] ?? 0);
      this.levels[row] = Math.max(0, (this.levels[row] ?? 0) - by * ratio);
    }
    this.levels[leaving] = ratio;
    this.columns[leaving] = column;
  }
}

/** What the material alone costs at the best price there is for it: a bound that needs no search. */
export function materialBound({ demands, sizes, stock }: CutProblem): number {
  const cheapest = Math.min(...stock.map(({ cost, holds }) => cost / holds));
  return demands.reduce((sum, { count }, index) => sum + count * (sizes[index] ?? 0) * cheapest, 0);
}

/** A pattern that fits by exact lengths: the shortest pieces go out of it until it does. */
export function fitted(problem: CutProblem, pattern: Pattern): Pattern {
  const holds = problem.stock[pattern.stock]?.holds ?? 0;
  const cuts = pattern.cuts.map(([index, times]) => [index, times] as [number, number]);
  let used = cuts.reduce((sum, [index, times]) => sum + times * (problem.sizes[index] ?? 0), 0);
  for (const cut of cuts.toSorted(([a], [b]) => b - a)) {
    while (used > holds && cut[1] > 0) {
      cut[1] -= 1;
      used -= problem.sizes[cut[0]] ?? 0;
    }
  }
  return { stock: cheapestHolding(problem, used), cuts: cuts.filter(([, times]) => times > 0) };
}
