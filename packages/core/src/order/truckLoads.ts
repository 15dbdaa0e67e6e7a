import Big from "big.js";
import { plural } from "../units";
import type { OrderLine } from "./orderLine";
import type { Loads, PriceItem } from "./priceItem";

export type TruckLoads = {
  /** Packs or steps that are bought: more than are needed where that costs less than a short load. */
  readonly bought: number;
  /** Of each truck, in packs or steps. */
  readonly loads: readonly number[];
  /** What a short load costs beside what is in it. */
  readonly charge: Big;
};

/**
 * So many steps over as few trucks as take them, at least cost. No load is short where they can be shared so; else one is, by all that the
 * trucks lack together, which no other sharing betters. It is filled up where that costs less. `price` is of one step; null where nobody knows.
 *
 * 13 steps in trucks of 12 that cost nothing more from 8 on: 8 and 5, three short (arithmetic); filled in turn it would be 12 and 1.
 */
export function truckLoads(
  steps: number,
  { most, least, shortLoad, eachShort }: Loads,
  price: string | null,
): TruckLoads {
  if (steps <= 0) return { bought: steps, loads: [], charge: new Big(0) };
  const trucks = Math.ceil(steps / most);
  const lacking = trucks * least - steps;
  if (lacking <= 0) return { bought: steps, loads: evenly(steps, trucks), charge: new Big(0) };
  const charge = new Big(shortLoad).plus(new Big(eachShort).times(lacking));
  const filling = price === null ? undefined : new Big(price).times(lacking);
  if (filling?.lt(charge))
    return { bought: steps + lacking, loads: evenly(steps + lacking, trucks), charge: new Big(0) };
  return { bought: steps, loads: [...Array.from({ length: trucks - 1 }, () => least), least - lacking], charge };
}

const evenly = (steps: number, trucks: number): number[] =>
  Array.from({ length: trucks }, (_, index) => Math.floor((steps + index) / trucks)).toReversed();

/** What a short load costs, as a line of the order. */
export function partLoadCharge(item: PriceItem, ordered: OrderLine, { charge }: TruckLoads): OrderLine[] {
  if (charge.eq(0)) return [];
  return [
    {
      id: `${ordered.id}/part-load`,
      itemCode: item.code,
      countLineIds: ordered.countLineIds,
      need: "",
      waste: "",
      note: "",
      description: `Part load: ${item.name}`,
      quantity: 1,
      unitName: "sum",
      unitPrice: charge.toString(),
      charge: "part-load",
      ...(ordered.alone === undefined ? {} : { alone: ordered.alone }),
    },
  ];
}

/** `2 loads, 8 and 5 steps` */
export function loadsWords({ loads }: TruckLoads, unitName: string): string {
  if (loads.length === 0) return "";
  const sizes = [...new Set(loads)];
  const each = sizes.length === 1 ? `${sizes[0]}` : `${loads.slice(0, -1).join(", ")} and ${loads[loads.length - 1]}`;
  return plural(loads.length, "1 load", `${loads.length} loads of ${each} × ${unitName}`);
}
