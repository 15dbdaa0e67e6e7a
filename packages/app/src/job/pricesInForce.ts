import { type Job, type PriceItem, withItems } from "@wide-porch/core";
import type { KeptPrices, PriceRecord } from "../api/records";

/** Whether an answer about what is kept is to the prices that the job has now: it may be on its way still. */
const isFor = (kept: KeptPrices, prices: Job["prices"]): boolean => kept.prices.at === prices.at;

/**
 * The list that a job is reckoned with: the newest, with what the job keeps in its place. What was taken since the answer came is of the
 * newest; until an answer to another moment comes, all is.
 */
export function pricesInForce(
  newest: readonly PriceRecord[],
  kept: KeptPrices | undefined,
  prices: Job["prices"],
): readonly PriceItem[] {
  const items = newest.map(({ item }) => item);
  if (!kept || !isFor(kept, prices)) return items;
  const revisions = new Map(newest.map(({ item, revision }) => [item.code, revision]));
  const older = kept.kept.filter(({ item: { code } }) => {
    const taken = Object.hasOwn(prices.taken, code) ? prices.taken[code] : undefined;
    return taken === undefined || taken !== revisions.get(code);
  });
  return withItems(
    items,
    older.map(({ item }) => item),
  );
}
