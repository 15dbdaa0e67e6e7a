import { isOwn, type LedgerLine } from "../ledger/records";
import { allocateMoney, lessMoney, type Money, sumMoney } from "../units";
import type { Adjusted } from "./adjusted";
import { costOfKind, type MarkedCosts, markedCostsOf, withoutCosts } from "./kindCosts";
import type { Pricing } from "./pricing";
import { stepsOf } from "./steps";

/** What a part comes to in the price before tax. */
export type PartPrice = {
  readonly partId: string;
  readonly name: string;
  /** What the price falls by when the part is taken out, to the cent: all that is nobody else's. */
  readonly own: Money;
  /** Its share of what parts have together: the rest of packs and lengths, and cents of rounding. */
  readonly shared: Money;
  /** Its share of what a typed price changed. */
  readonly adjusted: Money;
  readonly price: Money;
};

/** Of no part: what was typed in for the whole job. */
const FOR_THE_JOB = "Plant, subcontract and other items";

type Row = { readonly partId: string; readonly name: string; readonly own: LedgerLine[]; sharedWeight: number };

function rowsOf(
  parts: readonly { readonly partId: string; readonly partName: string }[],
  ledger: readonly LedgerLine[],
): Row[] {
  const rows = new Map(
    parts.map(({ partId, partName }): [string, Row] => [partId, { partId, name: partName, own: [], sharedWeight: 0 }]),
  );
  const job: Row = { partId: "", name: FOR_THE_JOB, own: [], sharedWeight: 0 };
  for (const line of ledger) {
    if (line.source === "typed") job.own.push(line);
    else if (isOwn(line)) rows.get(line.partId)?.own.push(line);
    else
      for (const { partId, cost } of line.shares) {
        const row = rows.get(partId);
        if (row) row.sharedWeight += Math.abs(Number(cost));
      }
  }
  return [...rows.values(), ...(job.own.length > 0 ? [job] : [])];
}

/** Weights of which some is more than nothing. */
const firstThatWeighs = (...choices: (readonly number[])[]): readonly number[] =>
  choices.find((weights) => weights.some((weight) => weight > 0)) ?? choices.at(-1) ?? [];

/** The price before tax by part: adds up to it, to the cent. */
export function partPrices(
  parts: readonly { readonly partId: string; readonly partName: string }[],
  ledger: readonly LedgerLine[],
  costs: MarkedCosts,
  pricing: Pricing,
  price: Money,
  adjusted: Adjusted | undefined,
): PartPrice[] {
  const rows = rowsOf(parts, ledger);
  const own = rows.map((row) => {
    if (row.own.length === 0) return "0.00";
    return lessMoney(price, stepsOf(withoutCosts(costs, markedCostsOf(row.own)), pricing).price);
  });
  const owned = own.map(Number);
  const together = lessMoney(price, sumMoney(own));
  const shared = allocateMoney(
    together,
    firstThatWeighs(
      rows.map((row) => row.sharedWeight),
      owned,
    ),
  );
  const spread = allocateMoney(adjusted?.difference ?? "0.00", firstThatWeighs(adjustWeights(rows, adjusted), owned));
  return rows.map(({ partId, name }, index) => {
    const sums = [own[index] ?? "0.00", shared[index] ?? "0.00", spread[index] ?? "0.00"] as const;
    return { partId, name, own: sums[0], shared: sums[1], adjusted: sums[2], price: sumMoney(sums) };
  });
}

/** What each row has of the kinds that a typed price changes, by how much each kind is changed. */
function adjustWeights(rows: readonly Row[], adjusted: Adjusted | undefined): number[] {
  if (!adjusted) return [];
  const { byKind } = adjusted;
  return rows.map((row) => {
    const costs = markedCostsOf(row.own);
    return byKind.reduce((sum, { kind, before, difference }) => {
      const share = Number(before) === 0 ? 0 : Math.abs(Number(difference)) / Number(before);
      return sum + Number(costOfKind(costs.values(), kind)) * share;
    }, 0);
  });
}
