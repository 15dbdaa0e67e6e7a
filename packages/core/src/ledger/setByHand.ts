import { ownValue } from "../records/ownValue";
import { priceTimes } from "../units";
import type { Costing, LineSet } from "./costing";
import { type BareLine, isOwn } from "./ledgerLine";

function withSet(line: BareLine, { rate: set, hours: setHours }: LineSet): BareLine {
  const hours = line.kind === "labour" && setHours !== undefined ? setHours : line.hours;
  const quantity = line.kind === "labour" ? hours : line.quantity;
  const rate = set ?? line.rate;
  if (rate === null || (set === undefined && hours === line.hours)) return line;
  const cost = priceTimes(rate, quantity.replaceAll(",", ""));
  const { cost: was, rate: rateBefore, quantity: quantityBefore, hours: hoursBefore } = line;
  return {
    ...line,
    source: "set-by-hand",
    rate,
    quantity,
    hours,
    cost,
    shares: line.shares.map((share) => ({ ...share, cost })),
    before: { cost: was, rate: rateBefore, quantity: quantityBefore, hours: hoursBefore },
  };
}

/** Lines with the rates and hours that people set in force, what came out kept beside them. What is shared, typed or supplied otherwise is changed elsewhere. */
export function withLinesSet(ledger: readonly BareLine[], { linesSet }: Pick<Costing, "linesSet">): BareLine[] {
  if (Object.keys(linesSet).length === 0) return [...ledger];
  return ledger.map((line) => {
    const set = isOwn(line) && line.supply === "ours" ? ownValue(linesSet, line.id) : undefined;
    return set ? withSet(line, set) : line;
  });
}
