import Big from "big.js";
import { priceTimes } from "../units";
import { type Costing, crewOf, type Extra, hourOfTrade } from "./costing";
import { type BareLine, OF_NO_PART } from "./ledgerLine";

const MINUTES_AN_HOUR = 60;
const isNothing = (amount: string): boolean => Number(amount) === 0;

/** What somebody typed in: what it costs, and the hours that it takes to fit, each where there is any. 84 at 15 minutes are 21 h. */
export function typedLines(extra: Extra, costing: Pick<Costing, "crews" | "ratePerHour">): BareLine[] {
  const { id, kind, description, section, quantity, unit, cost, minutes, trade } = extra;
  const said = { ...OF_NO_PART, source: "typed" as const, section, trade, shares: [] };
  const bought: BareLine = {
    ...said,
    id: `extra/${id}`,
    kind,
    what: description,
    quantity,
    unitName: unit,
    rate: cost,
    cost: priceTimes(cost, quantity),
  };
  if (isNothing(minutes)) return [bought];
  const hours = new Big(minutes).times(quantity).div(MINUTES_AN_HOUR).round(4, Big.roundHalfUp).toString();
  const rate = hourOfTrade(costing, trade);
  const fitted: BareLine = {
    ...said,
    id: `fitting/${id}`,
    kind: "labour",
    what: `Fit: ${description}`,
    crew: crewOf(costing, trade)?.name ?? "",
    quantity: hours,
    unitName: "h",
    rate,
    cost: priceTimes(rate, hours),
    hours,
  };
  return isNothing(cost) ? [fitted] : [bought, fitted];
}
