import type { Nanometres } from "../../units";

export type NeededPiece = { readonly id: string; readonly lengthNm: Nanometres };

/** A length that can be bought as often as wanted, or a piece from the yard that there are so many of. */
export type Stock = {
  readonly lengthNm: Nanometres;
  /** What is to be least: the price of one, or its length where prices are not known. */
  readonly cost: number;
  /** Unlimited where it is bought. */
  readonly count?: number;
};

export type Bar = {
  readonly stockNm: Nanometres;
  readonly pieces: readonly NeededPiece[];
  /** From the yard or an earlier part, not bought. */
  readonly fromYard?: boolean;
};

export type CutSettings = {
  /** Width of the saw's cut. */
  readonly kerfNm: Nanometres;
  /** Cut off a bought length before its first piece, at one end. */
  readonly endTrimNm: Nanometres;
};

/**
 * Whether pieces come out of a bar: with a saw cut between them, and the trim where anything is cut off at all. A piece as
 * long as the bar stays what it is. What lies in the yard is not trimmed.
 */
export function fitsBar(
  bar: { readonly stockNm: Nanometres; readonly lengthsNm: readonly Nanometres[]; readonly fromYard?: boolean },
  { kerfNm, endTrimNm }: CutSettings,
): boolean {
  const { stockNm, lengthsNm, fromYard } = bar;
  if (lengthsNm.length === 1 && lengthsNm[0] === stockNm) return true;
  const usedNm = lengthsNm.reduce((sum, lengthNm) => sum + lengthNm + kerfNm, -kerfNm);
  return usedNm + (fromYard ? 0 : endTrimNm) <= stockNm;
}

/** A circular saw's cut, 1/8 in (3.175 mm): common practice. */
export const USUAL_CUTTING: CutSettings = { kerfNm: 3_175_000, endTrimNm: 0 };

/** Pieces of one length, for searching: what stands for what is settled at the end. */
export type Demand = { readonly lengthNm: Nanometres; readonly count: number };

/** How often each length is cut from one bar: `[demand index, times]`. */
export type Pattern = {
  readonly stock: number;
  readonly cuts: readonly (readonly [index: number, times: number])[];
};

/** The problem with kerf and trim folded in: pieces and stock a kerf longer, so that lengths simply add up. */
export type CutProblem = {
  /** Longest first. */
  readonly demands: readonly Demand[];
  /** Length of each demand with its saw cut. */
  readonly sizes: readonly number[];
  /** What can be bought, shortest first, with what each holds and costs. */
  readonly stock: readonly { readonly lengthNm: Nanometres; readonly holds: number; readonly cost: number }[];
};

export function cutProblem(demands: readonly Demand[], stock: readonly Stock[], settings: CutSettings): CutProblem {
  const { kerfNm, endTrimNm } = settings;
  return {
    demands,
    sizes: demands.map((demand) => demand.lengthNm + kerfNm),
    stock: stock
      .map(({ lengthNm, cost }) => ({ lengthNm, cost, holds: lengthNm - endTrimNm + kerfNm }))
      .toSorted((a, b) => a.holds - b.holds),
  };
}

/** The cheapest stock that holds so much; the index, or -1. */
export function cheapestHolding({ stock }: Pick<CutProblem, "stock">, size: number): number {
  let best = -1;
  for (let index = 0; index < stock.length; index += 1) {
    const each = stock[index];
    if (!each || each.holds < size) continue;
    const leader = stock[best];
    if (!leader || each.cost < leader.cost) best = index;
  }
  return best;
}

export const costOf = ({ stock }: CutProblem, patterns: readonly Pattern[]): number =>
  patterns.reduce((sum, pattern) => sum + (stock[pattern.stock]?.cost ?? 0), 0);
