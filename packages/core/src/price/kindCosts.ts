import type { CostKind } from "../ledger/records";
import { lessMoney, type Money, sumMoney } from "../units";

/** What costs of one kind at one markup come to. */
export type MarkedCost = { readonly kind: CostKind; readonly markupPercent: string; readonly cost: Money };

/** Costs by kind and markup: all that steps from cost to price depend on. */
export type MarkedCosts = ReadonlyMap<string, MarkedCost>;

const keyOf = ({ kind, markupPercent }: Pick<MarkedCost, "kind" | "markupPercent">): string =>
  `${kind}/${markupPercent}`;

/** What costs come to by kind and markup, exactly. */
export function markedCostsOf(lines: Iterable<MarkedCost>): MarkedCosts {
  const costs = new Map<string, { readonly of: MarkedCost; readonly costs: Money[] }>();
  for (const line of lines) {
    const key = keyOf(line);
    const same = costs.get(key);
    if (same) same.costs.push(line.cost);
    else costs.set(key, { of: line, costs: [line.cost] });
  }
  return new Map(
    [...costs].map(([key, { of, costs: own }]) => [
      key,
      { kind: of.kind, markupPercent: of.markupPercent, cost: sumMoney(own) },
    ]),
  );
}

/** Costs without some of them. */
export function withoutCosts(all: MarkedCosts, gone: MarkedCosts): MarkedCosts {
  if (gone.size === 0) return all;
  const left = new Map(all);
  for (const [key, { cost }] of gone) {
    const before = left.get(key);
    if (before) left.set(key, { ...before, cost: lessMoney(before.cost, cost) });
  }
  return left;
}

/** What a kind comes to, whatever it is marked up by. */
export const costOfKind = (costs: Iterable<MarkedCost>, kind: CostKind): Money =>
  sumMoney([...costs].flatMap((each) => (each.kind === kind ? [each.cost] : [])));
