import type { CountLine, PartCount } from "../count";
import type { Order } from "../order";
import { toMetres } from "../units";
import type { Pricing } from "./pricing";

export type PartWeight = { readonly partId: string; readonly name: string; readonly weight: number };

/** How much of an item a line uses, for sharing what is bought between parts: metres where it is a length, else the count. */
function usageOf(line: CountLine, stockNm: number | undefined): number {
  if (line.cutLengthsNm.length > 0) return toMetres(line.cutLengthsNm.reduce((sum, lengthNm) => sum + lengthNm, 0));
  if (line.unit === "length" || stockNm === undefined) return line.ordered ?? line.quantity;
  return line.quantity * toMetres(stockNm);
}

/** What each count line costs in material: its share of every order line that it is part of. */
function materialOf(counts: readonly PartCount[], order: Order): Map<string, number> {
  const lines = new Map(counts.flatMap((count) => count.lines.map((line) => [line.id, line] as const)));
  const costs = new Map<string, number>();
  for (const bought of order.lines) {
    const cost = Number(bought.unitPrice ?? 0) * bought.quantity;
    const used = bought.countLineIds.flatMap((id) => {
      const line = lines.get(id);
      return line ? [{ id, usage: usageOf(line, bought.stockNm) }] : [];
    });
    const all = used.reduce((sum, each) => sum + each.usage, 0);
    for (const { id, usage } of used) if (all > 0) costs.set(id, (costs.get(id) ?? 0) + (cost * usage) / all);
  }
  for (const { cost, countLineIds } of order.supplied) {
    const own = countLineIds.flatMap((id) => lines.get(id) ?? []);
    const all = own.reduce((sum, line) => sum + line.quantity, 0);
    for (const line of own) if (cost !== null && all > 0) costs.set(line.id, (Number(cost) * line.quantity) / all);
  }
  return costs;
}

/** The direct cost each part causes, as plain numbers to share a price by. Rounding is left to the sharing. */
export function partWeights(
  counts: readonly PartCount[],
  order: Order,
  pricing: Pricing,
  productivity: (task: string) => number,
): PartWeight[] {
  const material = materialOf(counts, order);
  const hours = new Map(pricing.tasks.map((task) => [task.id, Number(task.hoursPerUnit)]));
  const weightOf = (line: CountLine): number => {
    const { labourTask: task = "" } = line;
    const usual = line.unit === "hour" ? 1 : (hours.get(task) ?? 0);
    const labour = (line.quantity * usual * productivity(task)) / 100;
    return (material.get(line.id) ?? 0) + labour * Number(pricing.ratePerHour);
  };
  return counts.map((count) => ({
    partId: count.partId,
    name: count.partName,
    weight: count.lines.reduce((sum, line) => sum + weightOf(line), 0),
  }));
}
