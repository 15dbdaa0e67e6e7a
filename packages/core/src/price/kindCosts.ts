import Big from "big.js";
import { COST_KINDS, type CostKind } from "../ledger/records";
import { type Money, toMoney } from "../units";
import type { KindCosts } from "./steps";

/** What costs come to by kind. */
export function kindCostsOf(costs: Iterable<{ readonly kind: CostKind; readonly cost: Money }>): KindCosts {
  const cents: Record<CostKind, number> = { material: 0, plant: 0, subcontract: 0, sundry: 0, labour: 0, allowance: 0 };
  // Whole cents add up exactly as plain numbers, far beyond what any job costs.
  for (const { kind, cost } of costs) cents[kind] += Math.round(Number(cost) * 100);
  return mapKinds((kind) => toMoney(new Big(cents[kind]).div(100)));
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
  mapKinds((kind) => (gone[kind] === "0.00" ? all[kind] : toMoney(new Big(all[kind]).minus(gone[kind]))));

export const NO_COSTS: KindCosts = mapKinds(() => "0.00");
export const isNothing = (costs: KindCosts): boolean => COST_KINDS.every((kind) => costs[kind] === "0.00");
