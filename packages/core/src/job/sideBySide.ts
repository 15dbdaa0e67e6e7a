import { byShares, type LedgerKey, type LedgerLine, ledgerValue } from "../ledger/records";
import { lessMoney, type Money, sumMoney } from "../units";

export const MOST_SIDE_BY_SIDE = 10;

/** What lines that are alike in a key cost in each of some estimates. */
export type SideRow = {
  /** Empty for lines that have none. */
  readonly value: string;
  /** In the order of the estimates; nothing where one has none. */
  readonly costs: readonly Money[];
  /** What each is more by than the first. */
  readonly differences: readonly Money[];
};

const OF_PARTS: ReadonlySet<LedgerKey> = new Set(["part", "storey", "location"]);

function costsBy(ledger: readonly LedgerLine[], key: LedgerKey): Map<string, Money[]> {
  const costs = new Map<string, Money[]>();
  for (const line of OF_PARTS.has(key) ? byShares(ledger) : ledger) {
    const value = ledgerValue(line, key);
    const same = costs.get(value);
    if (same) same.push(line.cost);
    else costs.set(value, [line.cost]);
  }
  return costs;
}

/** Estimates beside one another by any key: every cost of each is in one row, so that columns add up to their costs. The dearest rows first. */
export function sideBySide(ledgers: readonly (readonly LedgerLine[])[], key: LedgerKey): SideRow[] {
  const all = ledgers.map((ledger) => costsBy(ledger, key));
  const values = [...new Set(all.flatMap((costs) => [...costs.keys()]))];
  const rows = values.map((value): SideRow => {
    const costs = all.map((each) => sumMoney(each.get(value) ?? []));
    const [first = "0.00"] = costs;
    return { value, costs, differences: costs.map((cost) => lessMoney(cost, first)) };
  });
  const most = ({ costs }: SideRow): number => Math.max(...costs.map((cost) => Math.abs(Number(cost))));
  return rows.toSorted((a, b) => most(b) - most(a) || a.value.localeCompare(b.value));
}
