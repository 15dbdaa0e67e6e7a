import Big from "big.js";
import { type CountLine, quantityParts, quantityText } from "../count/records";
import { type MeasuringSystem, type Money, toMoney } from "../units";

/** What the job needs and the builder does not buy from the price list. */
export type SuppliedLine = {
  readonly id: string;
  readonly itemCode: string;
  readonly description: string;
  readonly by: "customer" | "allowance";
  /** What the job needs, as counted. */
  readonly need: string;
  /** Of an allowance: for one of what is counted, and for all of it. */
  readonly rate: string | null;
  readonly cost: Money | null;
  /** The figure and the unit that the rate is for: `120` and `sq ft`. */
  readonly quantity: string;
  readonly unitName: string;
  readonly countLineIds: readonly string[];
};

/** What an allowance comes to for so much, as it is shown: what is on paper multiplies. */
export function allowanceOf(rate: string, quantity: number, unit: string, system: MeasuringSystem): Money {
  return toMoney(new Big(rate).times(quantityParts(quantity, unit, system).figure));
}

/** Lines of one item that the same one supplies, at one rate, as one. */
export function suppliedLines(lines: readonly CountLine[], system: MeasuringSystem): SuppliedLine[] {
  const groups = new Map<string, CountLine[]>();
  for (const line of lines) {
    if (!line.supply || line.quantity === 0) continue;
    const rate = line.supply.by === "allowance" ? line.supply.rate : "";
    const key = [line.itemCode, line.description, line.unit, line.supply.by, rate].join("/");
    groups.set(key, [...(groups.get(key) ?? []), line]);
  }
  return [...groups.values()].flatMap((own, index) => {
    const [first] = own;
    // Its place and not its rate: whoever sees no costs sees ids.
    return first?.supply ? suppliedLine(`${index + 1}/${first.description}`, first, first.supply, own, system) : [];
  });
}

function suppliedLine(
  id: string,
  { itemCode, description, unit }: CountLine,
  supply: NonNullable<CountLine["supply"]>,
  own: readonly CountLine[],
  system: MeasuringSystem,
): SuppliedLine {
  const counted = own.reduce((sum, line) => sum + line.quantity, 0);
  const { figure, unit: unitName } = quantityParts(counted, unit, system);
  const allowed = supply.by === "allowance" ? supply.rate : null;
  return {
    id,
    itemCode,
    description,
    by: supply.by,
    need: quantityText(counted, unit, system),
    rate: allowed,
    cost: allowed === null ? null : allowanceOf(allowed, counted, unit, system),
    quantity: figure,
    unitName,
    countLineIds: own.map((line) => line.id),
  };
}
