import { type LedgerLine, TAX_CLASSES, type TaxClass } from "../ledger/records";
import { type Money, percentOf, sumMoney } from "../units";
import type { Adjusted } from "./adjusted";
import { linePrices } from "./linePrices";
import type { Pricing } from "./pricing";

/** What of a price is taxed alike, and the tax on it, rounded once. */
export type TaxShare = {
  readonly class: TaxClass;
  readonly percent: string;
  readonly base: Money;
  readonly amount: Money;
};

const percentOfClass = (of: TaxClass, { tax }: Pricing): string =>
  of === "none" ? "0" : of === "reduced" ? tax.reducedPercent : tax.percent;

function shareOf(of: TaxClass, base: Money, pricing: Pricing): TaxShare {
  const percent = percentOfClass(of, pricing);
  return { class: of, percent, base, amount: percentOf(base, percent) };
}

/** Tax on so much in each class: 20 % on 1,234.55 and 5 % on 876.45 are 246.91 and 43.82 (arithmetic). */
export const taxesOn = (bases: ReadonlyMap<TaxClass, Money>, pricing: Pricing): TaxShare[] =>
  TAX_CLASSES.flatMap((of) => {
    const base = bases.get(of);
    return base === undefined ? [] : [shareOf(of, base, pricing)];
  });

/** The tax on a price, by the classes of the lines that it follows from. What all lines share needs no spreading. */
export function taxesOf(
  ledger: readonly LedgerLine[],
  pricing: Pricing,
  price: Money,
  adjusted: Adjusted | undefined,
): TaxShare[] {
  const costing = ledger.filter(({ cost }) => cost !== "0.00");
  const classes = new Set(costing.map((line) => line.tax));
  const [only = "standard"] = classes;
  if (classes.size <= 1) return [shareOf(only, price, pricing)];
  const prices = linePrices(costing, pricing, price, adjusted);
  const byClass = new Map<TaxClass, Money[]>();
  for (const [index, line] of costing.entries())
    byClass.set(line.tax, [...(byClass.get(line.tax) ?? []), prices[index] ?? "0.00"]);
  return taxesOn(new Map([...byClass].map(([of, own]) => [of, sumMoney(own)])), pricing);
}

export const taxInAll = (taxes: readonly TaxShare[]): Money => sumMoney(taxes.map(({ amount }) => amount));
