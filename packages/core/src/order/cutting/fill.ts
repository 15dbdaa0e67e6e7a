import { type CutProblem, cheapestHolding, type Pattern } from "./cutProblem";

/** What is left to cut, longest first; `demand` says which demand each entry is. Entries used up are dropped in time. */
class Left {
  private constructor(
    readonly sizes: number[],
    readonly counts: number[],
    readonly demand: number[],
  ) {}

  static of({ sizes }: CutProblem, counts: readonly number[]): Left {
    const kept = sizes.map((_, index) => index).filter((index) => (counts[index] ?? 0) > 0);
    return new Left(
      kept.map((index) => sizes[index] ?? 0),
      kept.map((index) => counts[index] ?? 0),
      kept,
    );
  }

  take(index: number, times = 1): void {
    this.counts[index] = (this.counts[index] ?? 0) - times;
  }

  has(index: number, times = 1): boolean {
    return (this.counts[index] ?? 0) >= times;
  }

  size(index: number): number {
    return this.sizes[index] ?? 0;
  }

  get length(): number {
    return this.sizes.length;
  }

  get smallest(): number {
    return this.size(this.length - 1);
  }

  /** The longest that is no longer than a room, from an index on; -1 for none. */
  longestWithin(room: number, from = 0): number {
    let low = from;
    let high = this.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.size(middle) > room) low = middle + 1;
      else high = middle;
    }
    while (low < this.length && !this.has(low)) low += 1;
    return low < this.length ? low : -1;
  }

  compacted(): Left {
    const kept = this.counts.map((_, index) => index).filter((index) => this.has(index));
    if (kept.length * 4 > this.length * 3) return this;
    return new Left(
      kept.map((index) => this.size(index)),
      kept.map((index) => this.counts[index] ?? 0),
      kept.map((index) => this.demand[index] ?? 0),
    );
  }
}

type Filled = { readonly size: number; readonly cuts: readonly number[] };
const NOTHING: Filled = { size: 0, cuts: [] };

/** The one or two pieces that fill a room best: two pointers, one from the longest, one from the shortest. */
function bestPair(left: Left, room: number): Filled {
  const single = left.longestWithin(room);
  if (single < 0) return NOTHING;
  let best: Filled = { size: left.size(single), cuts: [single] };
  let low = single;
  let high = left.length - 1;
  while (low <= high && best.size < room) {
    if (!left.has(low)) low += 1;
    else if (!left.has(high)) high -= 1;
    else {
      const size = left.size(low) + left.size(high);
      if (size > room) low += 1;
      else {
        if (size > best.size && (low !== high || left.has(low, 2))) best = { size, cuts: [low, high] };
        high -= 1;
      }
    }
  }
  return best;
}

/** Fills a room: the longest that fits again and again, and at each step the best pair to close with is remembered. */
function fill(left: Left, room: number): Filled {
  const taken: number[] = [];
  let used = 0;
  let best = NOTHING;
  for (;;) {
    const pair = bestPair(left, room - used);
    if (used + pair.size > best.size) best = { size: used + pair.size, cuts: [...taken, ...pair.cuts] };
    const next = left.longestWithin(room - used);
    if (best.size === room || next < 0 || room - used - left.size(next) < 2 * left.smallest) break;
    left.take(next);
    taken.push(next);
    used += left.size(next);
  }
  for (const index of taken) left.take(index, -1);
  return best;
}

/** Fills a room, trying several pieces in turn as the first of those that go in. */
function fillWithTries(left: Left, room: number, tries: number, step: number): Filled {
  let best = fill(left, room);
  let first = left.longestWithin(room);
  for (let tried = 0; tried < tries && best.size < room; tried += 1) {
    first = left.longestWithin(room, first + step);
    if (first < 0) break;
    left.take(first);
    const rest = fill(left, room - left.size(first));
    left.take(first, -1);
    const size = left.size(first) + rest.size;
    if (size > best.size) best = { size, cuts: [first, ...rest.cuts] };
  }
  return best;
}

type Bar = Filled & { readonly stock: number };

/** The bar that gives most for its cost among those that begin with the longest piece left. */
function bestBar(problem: CutProblem, left: Left, first: number, effort: Effort): Bar | undefined {
  const own = left.size(first);
  let best: Bar | undefined;
  let most = 0;
  left.take(first);
  for (const { holds } of problem.stock) {
    if (holds < own) continue;
    const rest = fillWithTries(left, holds - own, effort.tries, effort.step);
    const size = own + rest.size;
    const stock = cheapestHolding(problem, size);
    const each = size / (problem.stock[stock]?.cost || 1);
    if (each > most * (1 + 1e-12)) {
      best = { size, cuts: [first, ...rest.cuts], stock };
      most = each;
    }
  }
  left.take(first, -1);
  return best;
}

/** How hard to look: other first pieces tried for each bar, and how far apart among the lengths. */
export type Effort = { readonly tries: number; readonly step: number };

/** Bars one after another: each begins with the longest piece left and is filled as nearly as can be found. */
export function fillBars(problem: CutProblem, counts: readonly number[], effort: Effort): Pattern[] {
  let left = Left.of(problem, counts);
  const patterns: Pattern[] = [];
  for (;;) {
    left = left.compacted();
    const first = left.longestWithin(Number.POSITIVE_INFINITY);
    if (first < 0) return patterns;
    const bar = bestBar(problem, left, first, effort);
    if (!bar) return patterns;
    const times = new Map<number, number>();
    for (const index of bar.cuts) times.set(index, (times.get(index) ?? 0) + 1);
    // The same bar again for as long as there are pieces for it.
    const again = Math.min(...[...times].map(([index, each]) => Math.floor((left.counts[index] ?? 0) / each)));
    const cuts = [...times].map(([index, each]) => [left.demand[index] ?? 0, each] as const);
    for (const [index, each] of times) left.take(index, each * again);
    for (let copy = 0; copy < again; copy += 1) patterns.push({ stock: bar.stock, cuts });
  }
}
