import { z } from "zod";
import type { PriceItem } from "../order";
import { ownValue } from "../records/ownValue";

export const MOST_PRICES_TAKEN = 5000;

/** Which prices a job is reckoned with: those of the list at a moment, but for items whose newer price was taken, each by its revision. */
export const pricesKeptSchema = z.object({
  /** Null: those of the list as it is now. */
  at: z.iso.datetime().nullable(),
  taken: z
    .record(z.string().min(1).max(80), z.int().min(1))
    .refine(
      (taken) => Object.keys(taken).length <= MOST_PRICES_TAKEN,
      `At most ${MOST_PRICES_TAKEN} items are taken one by one.`,
    ),
});
export type PricesKept = z.infer<typeof pricesKeptSchema>;

/** An item as it was from a moment on. */
export type ItemVersion = { readonly revision: number; readonly at: string; readonly item: PriceItem };

/**
 * The version of an item that a job is reckoned with: the one that was taken for it, else the last at the moment whose prices it keeps.
 * An item made since has no older price: its first is in force. `versions` are of one item, oldest first.
 */
export function versionInForce(versions: readonly ItemVersion[], { at, taken }: PricesKept): ItemVersion | undefined {
  const [first] = versions;
  if (!first || at === null) return versions.at(-1);
  const revision = ownValue(taken, first.item.code);
  const own = revision === undefined ? undefined : versions.find((each) => each.revision === revision);
  return own ?? versions.findLast((each) => each.at <= at) ?? first;
}

/** A list with other versions of some of its items. The same where there are none. */
export function withItems(priceList: readonly PriceItem[], others: readonly PriceItem[]): readonly PriceItem[] {
  if (others.length === 0) return priceList;
  const byCode = new Map(others.map((item) => [item.code, item]));
  return priceList.map((item) => byCode.get(item.code) ?? item);
}
