import type { CountLine, PartCount } from "../count";
import type { Order } from "../order";
import type { Pricing } from "./pricing";

export type PartWeight = { readonly partId: string; readonly name: string; readonly weight: number };

/** How much of an item a line uses, for sharing a bar or a pack between parts: length where it is cut, else the count. */
const usageOf = (line: CountLine): number =>
  line.cutLengthsNm.length > 0 ? line.cutLengthsNm.reduce((sum, lengthNm) => sum + lengthNm, 0) : line.quantity;

/** The direct cost each part causes, as plain numbers to share a price by. Rounding is left to the sharing. */
export function partWeights(
  counts: readonly PartCount[],
  order: Order,
  pricing: Pricing,
  productivity: (task: string) => number,
): PartWeight[] {
  const costByItem = new Map<string, number>();
  for (const line of order.lines) {
    const cost = Number(line.unitPrice ?? 0) * line.quantity;
    costByItem.set(line.itemCode, (costByItem.get(line.itemCode) ?? 0) + cost);
  }
  const usageByItem = new Map<string, number>();
  for (const line of counts.flatMap((count) => count.lines)) {
    usageByItem.set(line.itemCode, (usageByItem.get(line.itemCode) ?? 0) + usageOf(line));
  }
  const hours = new Map(pricing.tasks.map((task) => [task.id, Number(task.hoursPerUnit)]));
  const weightOf = (line: CountLine): number => {
    const usage = usageByItem.get(line.itemCode) ?? 0;
    const material = usage > 0 ? ((costByItem.get(line.itemCode) ?? 0) * usageOf(line)) / usage : 0;
    const own = line.unit === "hour" ? line.quantity : 0;
    const task = line.labourTask
      ? ((hours.get(line.labourTask) ?? 0) * line.quantity * productivity(line.labourTask)) / 100
      : 0;
    const labour = (own + task) * Number(pricing.ratePerHour);
    return material + labour;
  };
  return counts.map((count) => ({
    partId: count.partId,
    name: count.partName,
    weight: count.lines.reduce((sum, line) => sum + weightOf(line), 0),
  }));
}
