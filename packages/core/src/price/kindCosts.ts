import type { CostKind } from "../ledger/records";
import { lessMoney, type Money, sumMoney } from "../units";
import type { KindCosts } from "./steps";

/** What costs come to by kind, exactly. */
export function kindCostsOf(costs: Iterable<{ readonly kind: CostKind; readonly cost: Money }>): KindCosts {
  const byKind: Record<CostKind, Money[]> = {
    material: [],
    plant: [],
    subcontract: [],
    sundry: [],
    labour: [],
    allowance: [],
  };
  for (const { kind, cost } of costs) byKind[kind].push(cost);
  return mapKinds((kind) => sumMoney(byKind[kind]));
}

export const mapKinds = (value: (kind: CostKind) => Money): KindCosts => ({
  material: value("material"),
  plant: value("plant"),
  subcontract: value("subcontract"),
  sundry: value("sundry"),
  labour: value("labour"),
  allowance: value("allowance"),
});

/** Costs without some of them. */
export const withoutCosts = (all: KindCosts, gone: KindCosts): KindCosts =>
  mapKinds((kind) => (gone[kind] === "0.00" ? all[kind] : lessMoney(all[kind], gone[kind])));
