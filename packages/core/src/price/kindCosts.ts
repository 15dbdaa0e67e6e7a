import Big from "big.js";
import { COST_KINDS, type CostKind } from "../ledger/records";
import { type Money, toMoney } from "../units";
import type { KindCosts } from "./steps";

/** What costs come to by kind. */
export function kindCostsOf(costs: Iterable<{ readonly kind: CostKind; readonly cost: Money }>): KindCosts {
  // Whole cents, added exactly however many there are: an amount has two places.
  const cents: Record<CostKind, bigint> = {
    material: 0n,
    plant: 0n,
    subcontract: 0n,
    sundry: 0n,
    labour: 0n,
    allowance: 0n,
  };
  for (const { kind, cost } of costs) cents[kind] += BigInt(cost.replace(".", ""));
  return mapKinds((kind) => toMoney(new Big(String(cents[kind])).div(100)));
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
