import Big from "big.js";
import { type Hire, plainHire } from "../order/priceItem";
import { type Money, priceTimes, sumMoney, toMoney } from "../units";
import { type Extra, newExtra } from "./costing";

/** Work that can be done either way: so much of it, at so many minutes by hand, or by a machine that gets so much done in one unit of hire. */
export type WorkToDo = {
  readonly what: string;
  readonly quantity: string;
  readonly unit: string;
  readonly minutesByHand: string;
  readonly hourRate: string;
  readonly machine: {
    readonly name: string;
    /** For one unit of its hire; null where the price list gives none. */
    readonly price: string | null;
    readonly unit: string;
    readonly hire: Hire | null;
    /** What it gets done in one unit of hire. */
    readonly output: string;
    /** Hours of ours in one unit of hire: who drives it. */
    readonly hours: string;
  };
};

export type HandOrMachine = {
  readonly hand: { readonly hours: string; readonly cost: Money };
  readonly machine: {
    /** What the work takes, and what is charged: whole units, and no fewer than the least. */
    readonly needed: string;
    readonly charged: number;
    readonly hours: string;
    readonly hire: Money;
    readonly delivery: Money;
    readonly fuel: Money;
    readonly driving: Money;
    readonly cost: Money;
  };
  /** The cheaper; neither where both come to the same. */
  readonly cheaper: "hand" | "machine" | "neither";
};

/** More digits than any day that is hired has. */
const PLACES = 6;

/** The same work both ways, each with all that it costs. Throws for a machine that gets nothing done. */
export function handOrMachine({ quantity, minutesByHand, hourRate, machine }: WorkToDo): HandOrMachine {
  const output = new Big(machine.output);
  if (output.lte(0))
    throw new RangeError(`handOrMachine: a machine with an output of ${machine.output} gets nothing done`);
  const hours = new Big(minutesByHand).times(quantity).div(60).round(4, Big.roundHalfUp).toString();
  const terms = machine.hire ?? plainHire;
  const needed = new Big(quantity).div(output).round(PLACES, Big.roundHalfUp);
  const worked = Number(needed.round(0, Big.roundUp));
  const charged = worked === 0 ? 0 : Math.max(worked, Math.ceil(terms.least));
  const driven = new Big(machine.hours).times(needed).round(4, Big.roundHalfUp).toString();
  const parts = {
    hire: priceTimes(machine.price ?? "0", charged),
    delivery: charged === 0 ? "0.00" : toMoney(new Big(terms.delivery).plus(terms.collection)),
    fuel: priceTimes(terms.fuel, worked),
    driving: priceTimes(hourRate, driven),
  };
  const byHand = priceTimes(hourRate, hours);
  const byMachine = sumMoney(Object.values(parts));
  const difference = Number(byHand) - Number(byMachine);
  return {
    hand: { hours, cost: byHand },
    machine: { needed: needed.toString(), charged, hours: driven, ...parts, cost: byMachine },
    cheaper: difference === 0 ? "neither" : difference < 0 ? "hand" : "machine",
  };
}

/** The chosen way as costs of the job: what the work is, in the words of the two ways. `newId` makes ids. */
export function asExtras(work: WorkToDo, way: "hand" | "machine", section: string, newId: () => string): Extra[] {
  const { what, quantity, unit, minutesByHand, machine } = work;
  if (way === "hand")
    return [
      { ...newExtra(newId(), "labour", `${what}, by hand`, "0"), section, quantity, unit, minutes: minutesByHand },
    ];
  const { machine: done } = handOrMachine(work);
  const hire: Extra = {
    ...newExtra(newId(), "plant", `${what}: ${machine.name}`, machine.price ?? "0"),
    section,
    quantity: String(done.charged),
    unit: machine.unit,
  };
  const rest = (name: string, cost: Money, kind: Extra["kind"] = "plant"): Extra[] =>
    Number(cost) === 0 ? [] : [{ ...newExtra(newId(), kind, name, cost), section }];
  const driving: Extra[] =
    Number(done.hours) === 0
      ? []
      : [
          {
            ...newExtra(newId(), "labour", `${what}: driving`, "0"),
            section,
            quantity: done.hours,
            unit: "h",
            minutes: "60",
          },
        ];
  return [
    hire,
    ...rest(`Delivery and collection: ${machine.name}`, done.delivery),
    ...rest(`Fuel: ${machine.name}`, done.fuel),
    ...driving,
  ];
}
