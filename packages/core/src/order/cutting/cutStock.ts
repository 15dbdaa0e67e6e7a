import type { Nanometres } from "../../units";
import { fitted, materialBound, relax, type Weighted } from "./columns";
import {
  type Bar,
  type CutProblem,
  type CutSettings,
  costOf,
  cutProblem,
  type Demand,
  type NeededPiece,
  type Pattern,
  type Stock,
} from "./cutProblem";
import { fillBars } from "./fill";
import { firstFit } from "./firstFit";
import { takeFromYard } from "./yard";

export type CutList = {
  readonly bars: readonly Bar[];
  /** Pieces that no stock reaches. */
  readonly tooLong: readonly NeededPiece[];
  /** Cost of what is bought, in the unit of the stock's costs. */
  readonly cost: number;
  readonly boughtNm: Nanometres;
  /** No list of the same pieces from the same stock and yard costs less: proven, not estimated. */
  readonly bound: number;
};

export type CutProgress = {
  /** From 0 to 1, as far as it can be told. */
  readonly share: number;
  readonly list: CutList;
};

/** Beyond so many different lengths the material alone bounds closely, and generating patterns takes long. */
const MOST_LENGTHS_TO_RELAX = 220;
const MOST_ROUNDS = 900;
const YIELD_EVERY = 8;

/** Equal lengths together, longest first. */
function demandsOf(pieces: readonly NeededPiece[]): Demand[] {
  const counts = new Map<Nanometres, number>();
  for (const { lengthNm } of pieces) counts.set(lengthNm, (counts.get(lengthNm) ?? 0) + 1);
  return [...counts].map(([lengthNm, count]) => ({ lengthNm, count })).toSorted((a, b) => b.lengthNm - a.lengthNm);
}

/** Patterns with pieces put in them by name: the same length anywhere is as good. */
function namedBars(problem: CutProblem, patterns: readonly Pattern[], pieces: readonly NeededPiece[]): Bar[] {
  const byLength = new Map<Nanometres, NeededPiece[]>();
  for (const piece of pieces) {
    const same = byLength.get(piece.lengthNm);
    if (same) same.push(piece);
    else byLength.set(piece.lengthNm, [piece]);
  }
  for (const same of byLength.values()) same.reverse();
  return patterns.map(({ stock, cuts }) => ({
    stockNm: problem.stock[stock]?.lengthNm ?? 0,
    pieces: cuts
      .toSorted(([a], [b]) => a - b)
      .flatMap(([index, times]) => {
        const same = byLength.get(problem.demands[index]?.lengthNm ?? 0) ?? [];
        return Array.from({ length: times }, () => same.pop()).filter((piece) => piece !== undefined);
      }),
  }));
}

const countsOf = (problem: CutProblem): number[] => problem.demands.map((demand) => demand.count);

/** Whole uses of the relaxed answer's patterns, the greatest first; what they leave is filled and first-fitted. */
function rounded(problem: CutProblem, used: readonly Weighted[], extra: number): Pattern[] {
  const left = countsOf(problem);
  const patterns: Pattern[] = [];
  const take = (pattern: Pattern, most: number) => {
    for (let copy = 0; copy < most; copy += 1) {
      if (pattern.cuts.length === 0 || !pattern.cuts.every(([index, times]) => (left[index] ?? 0) >= times)) return;
      for (const [index, times] of pattern.cuts) left[index] = (left[index] ?? 0) - times;
      patterns.push(pattern);
    }
  };
  const fit = used.map(({ pattern, weight }) => ({ pattern: fitted(problem, pattern), weight }));
  for (const { pattern, weight } of fit) take(pattern, Math.floor(weight + 1e-6));
  const fractions = fit.toSorted((a, b) => (b.weight % 1) - (a.weight % 1));
  for (const { pattern, weight } of fractions) if (weight % 1 > extra) take(pattern, 1);
  const rest = [fillBars(problem, left, { tries: 12, step: 1 }), firstFit(problem, left)];
  return [...patterns, ...cheapest(problem, rest)];
}

const cheapest = (problem: CutProblem, ways: readonly Pattern[][]): Pattern[] =>
  ways.reduce((best, way) => (costOf(problem, way) < costOf(problem, best) ? way : best));

/** First fit, and bars filled in turn: good within a moment, never worse than first fit, longest first. */
function quickPatterns(problem: CutProblem): Pattern[] {
  const counts = countsOf(problem);
  return cheapest(problem, [firstFit(problem, counts), fillBars(problem, counts, { tries: 1, step: 1 })]);
}

/** Pieces that can be cut from some stock, and those that no stock reaches. One as long as a stock length needs no trim. */
export function cutsOf(pieces: readonly NeededPiece[], stock: readonly Stock[], { endTrimNm }: CutSettings) {
  const longestNm = Math.max(
    0,
    ...stock.map(({ lengthNm, count }) => (count === undefined ? lengthNm - endTrimNm : lengthNm)),
  );
  const whole = new Set(stock.map((each) => each.lengthNm));
  const fits = ({ lengthNm }: NeededPiece) => lengthNm <= longestNm || whole.has(lengthNm);
  return { fitting: pieces.filter(fits), tooLong: pieces.filter((piece) => !fits(piece)) };
}

/** Bought bars that are one piece as they come: nothing is cut, so nothing is trimmed. */
type Uncut = { readonly bars: readonly Bar[]; readonly cost: number; readonly left: readonly NeededPiece[] };

/**
 * Takes out the pieces that are as long as what is sold, where the trim would keep them from being cut of it; `all` or
 * only those that no longer length holds either.
 */
function takeUncut(
  pieces: readonly NeededPiece[],
  bought: readonly Stock[],
  { endTrimNm }: CutSettings,
  all: boolean,
): Uncut {
  const longestNm = Math.max(0, ...bought.map((each) => each.lengthNm - endTrimNm));
  const bars: Bar[] = [];
  const left: NeededPiece[] = [];
  let cost = 0;
  for (const piece of pieces) {
    const own = bought.filter((each) => each.lengthNm === piece.lengthNm).toSorted((a, b) => a.cost - b.cost)[0];
    if (endTrimNm === 0 || !own || (!all && piece.lengthNm <= longestNm)) left.push(piece);
    else {
      bars.push({ stockNm: own.lengthNm, pieces: [piece] });
      cost += own.cost;
    }
  }
  return { bars, cost, left };
}

type Search = {
  readonly problem: CutProblem;
  /** The quick list, which the search begins with. */
  readonly quick: Pattern[];
  /** With a bound on what is searched for, which is the whole list's where that is all there is to it. */
  readonly finish: (patterns: readonly Pattern[], bound: number) => CutList;
};

function prepare(pieces: readonly NeededPiece[], stock: readonly Stock[], settings: CutSettings): Search {
  const bought = stock.filter((each) => each.count === undefined);
  const { fitting: able, tooLong } = cutsOf(pieces, stock, settings);
  const yard = takeFromYard(able, stock, settings);
  const { fitting, tooLong: onlyInYard } = cutsOf(yard.left, bought, settings);
  const ways = [true, false].map((all) => {
    const uncut = takeUncut(fitting, bought, settings, all);
    const problem = cutProblem(demandsOf(uncut.left), bought, settings);
    const quick = quickPatterns(problem);
    return { uncut, problem, quick, cost: uncut.cost + costOf(problem, quick) };
  });
  const [first, second] = ways;
  if (!first || !second) throw new Error("prepare: there are two ways");
  const { uncut, problem, quick } = second.cost < first.cost ? second : first;
  const apart = uncut.bars.length > 0 || yard.bars.length > 0;
  const finish: Search["finish"] = (patterns, bound) => {
    const bars = [...uncut.bars, ...namedBars(problem, patterns, uncut.left)];
    return {
      bars: [...yard.bars, ...bars],
      tooLong: [...tooLong, ...onlyInYard],
      cost: uncut.cost + costOf(problem, patterns),
      boughtNm: bars.reduce((sum, bar) => sum + bar.stockNm, 0),
      bound: apart ? boundOfAll(able, stock, settings) : bound,
    };
  };
  return { problem, quick, finish };
}

/**
 * What all pieces that can be bought cost at least, whatever is cut from the yard and whatever bar is left whole: their
 * length, less all that the yard holds, at the best price a metre with nothing trimmed.
 */
function boundOfAll(
  pieces: readonly NeededPiece[],
  stock: readonly Stock[],
  { kerfNm, endTrimNm }: CutSettings,
): number {
  const bought = stock.filter((each) => each.count === undefined);
  const { fitting } = cutsOf(pieces, bought, { kerfNm, endTrimNm });
  const inYard = stock.reduce((sum, each) => sum + (each.count ?? 0) * (each.lengthNm + kerfNm), 0);
  const rate = Math.min(...bought.map((each) => each.cost / (each.lengthNm + kerfNm)));
  const neededNm = fitting.reduce((sum, piece) => sum + piece.lengthNm + kerfNm, 0);
  return Number.isFinite(rate) ? Math.max(0, neededNm - inYard) * rate : 0;
}

/** A cut list within a moment: what the order is made from at every entry. */
export function cutQuickly(pieces: readonly NeededPiece[], stock: readonly Stock[], settings: CutSettings): CutList {
  const { problem, quick, finish } = prepare(pieces, stock, settings);
  return finish(quick, problem.demands.length === 0 ? 0 : materialBound(problem));
}

/**
 * A cut list as near the proven bound as can be found, in steps that can be stopped: each yields the best so far. Runs to
 * the end it returns the best of all; it is never worse than `cutQuickly`.
 *
 * ```ts
 * const steps = cutInSteps(pieces, [{ lengthNm: feet(16), cost: 9.28 }], { kerfNm: inches(0.125), endTrimNm: 0 });
 * let step = steps.next();
 * while (!step.done) step = steps.next();
 * const list = step.value;
 * ```
 */
export function* cutInSteps(
  pieces: readonly NeededPiece[],
  stock: readonly Stock[],
  settings: CutSettings,
): Generator<CutProgress, CutList> {
  const { problem, quick, finish } = prepare(pieces, stock, settings);
  if (problem.demands.length === 0) return finish([], 0);
  let bound = materialBound(problem);
  let best = quick;
  const told = (share: number): CutProgress => ({ share, list: finish(best, bound) });
  const better = (way: Pattern[]) => {
    if (costOf(problem, way) < costOf(problem, best)) best = way;
  };
  const closed = () => costOf(problem, best) <= bound * (1 + 1e-6);
  yield told(0.1);

  if (problem.demands.length <= MOST_LENGTHS_TO_RELAX) {
    let used: readonly Weighted[] = [];
    let round = 0;
    for (const answer of relax(problem, best)) {
      bound = Math.max(bound, answer.bound);
      used = answer.used;
      round += 1;
      if (round % YIELD_EVERY === 0) yield told(0.1 + 0.6 * Math.min(1, round / MOST_ROUNDS));
      if (round >= MOST_ROUNDS) break;
    }
    for (const extra of [0.99, 0.6, 0.4, 0.2, 0.05]) {
      if (closed()) break;
      better(rounded(problem, used, extra));
      yield told(0.75);
    }
  }
  for (const effort of [
    { tries: 4, step: 1 },
    { tries: 12, step: 1 },
    { tries: 12, step: 5 },
  ]) {
    if (closed() || costOf(problem, best) <= bound * 1.001) break;
    better(fillBars(problem, countsOf(problem), effort));
    yield told(0.9);
  }
  return finish(best, bound);
}
