import type { CutProblem } from "./cutProblem";

/** More steps than this along a bar and the search for a pattern is slow: lengths are then rounded to coarser steps. */
const MOST_STEPS = 6144;

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b));

/** The problem in whole steps. Rounding, where it has to be, only ever makes more fit: bounds stay true. */
export type Steps = {
  readonly sizes: Int32Array;
  readonly holds: Int32Array;
  readonly most: number;
  readonly exact: boolean;
};

export function inSteps({ sizes, stock }: CutProblem): Steps {
  const longest = stock[stock.length - 1]?.holds ?? 1;
  const common = [...sizes, ...stock.map((each) => each.holds)].reduce(greatestCommonDivisor, 0) || 1;
  const exact = longest / common <= MOST_STEPS;
  const step = exact ? common : Math.ceil(longest / MOST_STEPS);
  const holds = Int32Array.from(stock, (each) => Math.floor(each.holds / step));
  return { sizes: Int32Array.from(sizes, (size) => Math.floor(size / step)), holds, most: Math.max(...holds), exact };
}

/**
 * The most that a bar can give when each piece is worth so much, for every length of bar at once: a knapsack in which each
 * piece is there no oftener than it is wanted.
 */
export class Knapsack {
  private readonly worth: Float64Array;
  private readonly best: Uint8Array[];

  constructor(
    private readonly steps: Steps,
    private readonly counts: readonly number[],
  ) {
    this.worth = new Float64Array(steps.most + 1);
    this.best = Array.from(counts, () => new Uint8Array(steps.most + 1));
  }

  solve(values: Float64Array): void {
    const { worth, steps } = this;
    worth.fill(0);
    for (let item = 0; item < values.length; item += 1) {
      const value = values[item] ?? 0;
      const taken = this.best[item];
      if (!taken) continue;
      taken.fill(0);
      if (value > 1e-12) this.add(taken, Math.max(1, steps.sizes[item] ?? 1), value, this.counts[item] ?? 0);
    }
  }

  private add(taken: Uint8Array, size: number, value: number, count: number): void {
    const { worth, steps } = this;
    const most = Math.min(count, Math.floor(steps.most / size), 255);
    if (most === Math.floor(steps.most / size)) {
      for (let at = size; at <= steps.most; at += 1) {
        const with_ = (worth[at - size] ?? 0) + value;
        if (with_ > (worth[at] ?? 0) + 1e-12) {
          worth[at] = with_;
          taken[at] = (taken[at - size] ?? 0) + 1;
        }
      }
      return;
    }
    for (let at = steps.most; at >= size; at -= 1) {
      let best = worth[at] ?? 0;
      let times = 0;
      for (let each = 1; each <= most && each * size <= at; each += 1) {
        const with_ = (worth[at - each * size] ?? 0) + each * value;
        if (with_ > best + 1e-12) [best, times] = [with_, each];
      }
      worth[at] = best;
      taken[at] = times;
    }
  }

  worthOf(stock: number): number {
    return this.worth[this.steps.holds[stock] ?? 0] ?? 0;
  }

  /** How often each piece is in the best bar of a stock. */
  pattern(stock: number): (readonly [number, number])[] {
    const cuts: (readonly [number, number])[] = [];
    let room = this.steps.holds[stock] ?? 0;
    for (let item = this.best.length - 1; item >= 0; item -= 1) {
      const times = this.best[item]?.[room] ?? 0;
      if (times === 0) continue;
      cuts.push([item, times]);
      room -= times * Math.max(1, this.steps.sizes[item] ?? 1);
    }
    return cuts;
  }
}
