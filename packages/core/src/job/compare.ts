import type { HouseStandard, Library } from "../assemblies";
import type { PartCount } from "../count";
import type { Part } from "../kinds";
import { COST_KINDS, type CostKind } from "../ledger/records";
import type { PriceItem } from "../order";
import type { Pricing } from "../price";
import { lessMoney, type Money, sumMoney } from "../units";
import type { PricedJob } from "./reckoning";
import { countOf, orderAndPrice, type Remembered } from "./reckonJob";
import type { Job } from "./schema";

/** Everything that a price follows from. */
export type Estimate = {
  readonly job: Job;
  readonly parts: readonly Part[];
  readonly priceList: readonly PriceItem[];
  readonly library: Library;
};

/** Why one total is another, in the order in which they are told: each with those before it changed already. */
export const CAUSES = ["dimension", "rule", "price", "productivity", "markup"] as const;
export type Cause = (typeof CAUSES)[number];

export type CauseShare = {
  readonly cause: Cause;
  readonly amount: Money;
  /** What it would come to at the least and at the most, told in another order: causes work together. */
  readonly least: Money;
  readonly most: Money;
};

/** Two estimates side by side. The causes add up to the difference, to the cent. */
export type Comparison = {
  readonly from: Money;
  readonly to: Money;
  readonly difference: Money;
  readonly causes: readonly CauseShare[];
  readonly kinds: readonly { readonly kind: CostKind; readonly from: Money; readonly to: Money }[];
};

const PRICE_OF_PRICING = ["ratePerHour", "crews", "extras", "linesSet"] as const;
const PACE_OF_PRICING = ["tasks", "taskHours", "conditions"] as const;

type Changed = ReadonlySet<Cause>;

/** Rules of one standard and the pace of another. */
function standardOf(rules: HouseStandard | undefined, pace: HouseStandard | undefined): HouseStandard | undefined {
  if (rules) return { ...rules, productivity: pace?.productivity ?? [] };
  return pace && { ...pace, parameters: [], waste: [], tables: [] };
}

function pricingOf(from: Pricing, to: Pricing, changed: Changed): Pricing {
  const steps = changed.has("markup") ? to : from;
  const prices = changed.has("price") ? to : from;
  const pace = changed.has("productivity") ? to : from;
  const own = Object.fromEntries(PRICE_OF_PRICING.map((name) => [name, prices[name]]));
  const paced = Object.fromEntries(PACE_OF_PRICING.map((name) => [name, pace[name]]));
  return { ...steps, ...own, ...paced };
}

/** The first estimate with some of its causes as they are in the second. */
function mixed(from: Estimate, to: Estimate, changed: Changed): Estimate {
  const of = (cause: Cause): Estimate => (changed.has(cause) ? to : from);
  const rules = of("rule");
  const standard = standardOf(rules.library.standard, of("productivity").library.standard);
  const { standard: _, ...library } = rules.library;
  return {
    job: { ...rules.job, system: from.job.system, pricing: pricingOf(from.job.pricing, to.job.pricing, changed) },
    parts: of("dimension").parts,
    priceList: of("price").priceList,
    library: standard ? { ...library, standard } : library,
  };
}

/** What counts depend on: the others leave them as they are. */
const COUNTED_BY: readonly Cause[] = ["dimension", "rule", "price", "productivity"];

class Mixes {
  private readonly counts = new Map<string, readonly PartCount[]>();
  private readonly priced = new Map<string, PricedJob>();

  constructor(
    private readonly from: Estimate,
    private readonly to: Estimate,
    private readonly remembered: Pick<Remembered, "cut">,
  ) {}

  of(changed: Changed): PricedJob {
    const key = CAUSES.filter((cause) => changed.has(cause)).join("+");
    const before = this.priced.get(key);
    if (before) return before;
    const { job, parts, priceList, library } = mixed(this.from, this.to, changed);
    const countKey = COUNTED_BY.filter((cause) => changed.has(cause)).join("+");
    const counts = this.counts.get(countKey) ?? countOf(job, parts, priceList, library);
    this.counts.set(countKey, counts);
    const { buildUp } = orderAndPrice(job, counts, priceList, library, this.remembered);
    if (!buildUp) throw new Error("compareEstimates: an estimate came out without a price");
    this.priced.set(key, buildUp);
    return buildUp;
  }
}

/** Every choice of some of the causes that leaves one out. */
function subsetsWithout(left: Cause): Changed[] {
  const others = CAUSES.filter((cause) => cause !== left);
  return Array.from(
    { length: 2 ** others.length },
    (_, bits) => new Set(others.filter((_cause, index) => Math.floor(bits / 2 ** index) % 2 === 1)),
  );
}

const byAmount = (a: Money, b: Money): number => Number(lessMoney(a, b));

/**
 * Two estimates of one job, or of two in one system, and why their totals differ: by dimension, rule, price, productivity and markup in
 * that order, each told with what it could be in any other order. Reckons the job once for each choice of causes: 32 times.
 */
export function compareEstimates(from: Estimate, to: Estimate, remembered: Pick<Remembered, "cut"> = {}): Comparison {
  const mixes = new Mixes(from, to, remembered);
  const total = (changed: Changed): Money => mixes.of(changed).total;
  const none: Changed = new Set();
  const all: Changed = new Set(CAUSES);
  const causes = CAUSES.map((cause, index): CauseShare => {
    const before = new Set(CAUSES.slice(0, index));
    const withIt = (set: Changed) => lessMoney(total(new Set([...set, cause])), total(set));
    const inAnyOrder = subsetsWithout(cause).map(withIt).toSorted(byAmount);
    return { cause, amount: withIt(before), least: inAnyOrder[0] ?? "0.00", most: inAnyOrder.at(-1) ?? "0.00" };
  });
  const costOf = (changed: Changed, kind: CostKind): Money =>
    mixes.of(changed).kinds.find((each) => each.kind === kind)?.cost ?? "0.00";
  return {
    from: total(none),
    to: total(all),
    difference: sumMoney(causes.map(({ amount }) => amount)),
    causes,
    kinds: COST_KINDS.map((kind) => ({ kind, from: costOf(none, kind), to: costOf(all, kind) })),
  };
}
