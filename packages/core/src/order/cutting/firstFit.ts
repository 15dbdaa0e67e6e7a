import { type CutProblem, cheapestHolding, costOf, type Pattern } from "./cutProblem";

type Open = { used: number; cuts: Map<number, number> };

/**
 * First fit, longest first, into bars of one stock length; each bar is then traded for the cheapest stock that holds it.
 * `counts` is how many of each demand are still to be cut.
 */
function firstFitInto(problem: CutProblem, counts: readonly number[], longest: number): Pattern[] {
  const capacity = problem.stock[longest]?.holds ?? 0;
  const open: Open[] = [];
  for (let index = 0; index < counts.length; index += 1) {
    const size = problem.sizes[index] ?? 0;
    let first = 0;
    for (let left = counts[index] ?? 0; left > 0; left -= 1) {
      while (first < open.length && (open[first]?.used ?? 0) + size > capacity) first += 1;
      const bar = open[first] ?? { used: 0, cuts: new Map<number, number>() };
      if (first === open.length) open.push(bar);
      bar.used += size;
      bar.cuts.set(index, (bar.cuts.get(index) ?? 0) + 1);
    }
  }
  return open.map((bar) => ({ stock: cheapestHolding(problem, bar.used), cuts: [...bar.cuts] }));
}

/** First fit with each stock length in turn as the longest bar; the cheapest way. */
export function firstFit(problem: CutProblem, counts: readonly number[]): Pattern[] {
  const largest = counts.findIndex((count) => count > 0);
  if (largest < 0) return [];
  const needed = problem.sizes[largest] ?? 0;
  let best: Pattern[] = [];
  let bestCost = Number.POSITIVE_INFINITY;
  for (const [index, each] of problem.stock.entries()) {
    if (each.holds < needed) continue;
    const way = firstFitInto(problem, counts, index);
    const cost = costOf(problem, way);
    if (cost < bestCost) [best, bestCost] = [way, cost];
  }
  return best;
}
