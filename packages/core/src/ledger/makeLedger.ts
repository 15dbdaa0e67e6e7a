import type { PartCount } from "../count/records";
import type { Order, PriceItem } from "../order";
import type { MeasuringSystem } from "../units";
import { classed } from "./classed";
import type { Costing } from "./costing";
import { AS_USUAL, labourLines, type Productivity } from "./labour";
import type { LedgerLine } from "./ledgerLine";
import { materialLines } from "./material";
import { withLinesSet } from "./setByHand";
import { withTaskHours } from "./taskHours";
import { typedLines } from "./typedCosts";

/** What a job's costs follow from. */
export type LedgerInput = {
  /** Those in force: lines of options that nobody took are not among them. */
  readonly counts: readonly PartCount[];
  readonly order: Order;
  readonly priceList: readonly PriceItem[];
  readonly costing: Costing;
  readonly productivity?: Productivity;
  readonly system: MeasuringSystem;
};

/** Every cost of a job as one line. Materials add up to what is ordered, to the cent, and to what rates set by hand change. What was typed and then measured is counted once: as measured. */
export function makeLedger({
  counts,
  order,
  priceList,
  costing,
  productivity = AS_USUAL,
  system,
}: LedgerInput): LedgerLine[] {
  const lines = counts.flatMap((count) => count.lines);
  const labour = withTaskHours(labourLines(lines, costing, productivity), costing);
  const counted = withLinesSet([...materialLines(lines, order, priceList, system), ...labour], costing);
  const measured = new Set(
    counts.flatMap(({ partId, waits, lines: own }) => (waits || own.length === 0 ? [] : [partId])),
  );
  const typed = costing.extras.filter(({ measuredBy }) => measuredBy === null || !measured.has(measuredBy));
  return classed([...counted, ...typed.flatMap((extra) => typedLines(extra, costing))], costing);
}
