import { z } from "zod";
import { inches } from "../units";
import { type Bar, type CutSettings, fitsBar, type NeededPiece, type Stock } from "./cutting/cutProblem";

const keptBarSchema = z.object({
  stockNm: z.int().positive(),
  lengthsNm: z.array(z.int().positive()).min(1).max(400),
  /** How many bars are cut like this. */
  count: z.int().positive(),
  fromYard: z.boolean(),
});
export type KeptBar = z.infer<typeof keptBarSchema>;

/** How a job's timber is cut: the saw, what is in the yard, and the lists that were worked out and kept. */
export const cuttingSettingsSchema = z.object({
  kerfNm: z.int().min(0).max(inches(1)),
  endTrimNm: z.int().min(0).max(inches(24)),
  /** Offcuts and stock that is there already. */
  yard: z
    .array(
      z.object({
        id: z.string().min(1).max(40),
        itemCode: z.string().min(1).max(120),
        lengthNm: z.int().positive(),
        count: z.int().positive().max(10_000),
      }),
    )
    .max(200),
  /** By item code. A list is in force for as long as the same pieces are needed. */
  kept: z.record(z.string(), z.array(keptBarSchema).max(3000)),
});
export type CuttingSettings = z.infer<typeof cuttingSettingsSchema>;

/** A circular saw's cut of 1/8 in, nothing trimmed, an empty yard. */
export const usualCutting: CuttingSettings = { kerfNm: inches(0.125), endTrimNm: 0, yard: [], kept: {} };

/** Equal bars together, for keeping. */
export function keepBars(bars: readonly Bar[]): KeptBar[] {
  const kept = new Map<string, KeptBar>();
  for (const { stockNm, pieces, fromYard = false } of bars) {
    const lengthsNm = pieces.map((piece) => piece.lengthNm);
    const key = JSON.stringify([stockNm, fromYard, lengthsNm]);
    const known = kept.get(key);
    kept.set(key, { stockNm, lengthsNm, fromYard, count: (known?.count ?? 0) + 1 });
  }
  return [...kept.values()];
}

/** The bars of a kept list, or why it can be cut no longer. */
export type FromKept =
  | { readonly ok: true; readonly bars: readonly Bar[] }
  | { readonly ok: false; readonly why: string };

/**
 * Kept bars with the pieces as they are named now. A list is in force only while it can be cut as it stands: the same
 * pieces, from lengths that are sold or lie in the yard, by the saw there is.
 */
export function barsFromKept(
  kept: readonly KeptBar[],
  pieces: readonly NeededPiece[],
  stock: readonly Stock[],
  settings: CutSettings,
): FromKept {
  const no = (why: string): FromKept => ({ ok: false, why });
  const sold = new Set(stock.filter((each) => each.count === undefined).map((each) => each.lengthNm));
  if (kept.some((bar) => !bar.fromYard && !sold.has(bar.stockNm))) return no("a length that it cuts is not sold");
  if (!yardHolds(kept, stock)) return no("the yard has not the offcuts that it cuts");
  if (!kept.every((bar) => fitsBar(bar, settings))) return no("with this saw cut and trim its pieces do not fit");
  const bars = namedBars(kept, pieces);
  return bars ? { ok: true, bars } : no("other pieces are needed");
}

function yardHolds(kept: readonly KeptBar[], stock: readonly Stock[]): boolean {
  const left = new Map<number, number>();
  for (const { lengthNm, count } of stock)
    if (count !== undefined) left.set(lengthNm, (left.get(lengthNm) ?? 0) + count);
  for (const { fromYard, stockNm, count } of kept) if (fromYard) left.set(stockNm, (left.get(stockNm) ?? 0) - count);
  return [...left.values()].every((count) => count >= 0);
}

/** Undefined where other pieces are needed than the list was made for. */
function namedBars(kept: readonly KeptBar[], pieces: readonly NeededPiece[]): Bar[] | undefined {
  const byLength = new Map<number, NeededPiece[]>();
  for (const piece of pieces) {
    const same = byLength.get(piece.lengthNm);
    if (same) same.push(piece);
    else byLength.set(piece.lengthNm, [piece]);
  }
  for (const same of byLength.values()) same.reverse();
  const bars: Bar[] = [];
  for (const { stockNm, lengthsNm, count, fromYard } of kept) {
    for (let copy = 0; copy < count; copy += 1) {
      const taken = lengthsNm.map((lengthNm) => byLength.get(lengthNm)?.pop());
      const found = taken.filter((piece) => piece !== undefined);
      if (found.length < taken.length) return undefined;
      bars.push({ stockNm, pieces: found, ...(fromYard ? { fromYard } : {}) });
    }
  }
  return [...byLength.values()].every((same) => same.length === 0) ? bars : undefined;
}
