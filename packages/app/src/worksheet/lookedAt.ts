import type { LedgerLine } from "@wide-porch/core";
import { z } from "zod";

/** What of a line somebody saw when they last looked at it. */
const seenSchema = z.object({ quantity: z.string(), rate: z.string().nullable(), cost: z.string() });
export type Seen = z.infer<typeof seenSchema>;
export const lookedAtSchema = z.record(z.string(), seenSchema);
/** By the ids of lines. */
export type LookedAt = Readonly<Record<string, Seen>>;

/** A line that is another than when it was looked at, with what it was; nothing where it is new. */
export type Mark = { readonly was: Seen | undefined };

export const seenOf = ({ quantity, rate, cost }: LedgerLine): Seen => ({ quantity, rate, cost });

export const allSeen = (ledger: readonly LedgerLine[]): LookedAt =>
  Object.fromEntries(ledger.map((line) => [line.id, seenOf(line)]));

/** Lines that changed or came since they were looked at. */
export function marksOf(ledger: readonly LedgerLine[], looked: LookedAt): ReadonlyMap<string, Mark> {
  const marks = new Map<string, Mark>();
  for (const line of ledger) {
    const was = Object.hasOwn(looked, line.id) ? looked[line.id] : undefined;
    const same = was?.cost === line.cost && was.quantity === line.quantity && was.rate === line.rate;
    if (!same) marks.set(line.id, { was });
  }
  return marks;
}

/** Lines that were looked at and are there no longer, and what they cost. */
export function goneSince(ledger: readonly LedgerLine[], looked: LookedAt): readonly Seen[] {
  const there = new Set(ledger.map(({ id }) => id));
  return Object.entries(looked).flatMap(([id, seen]) => (there.has(id) ? [] : [seen]));
}

/** `was 24 at 3.40, 81.60`. */
export const wasText = ({ was }: Mark): string => {
  if (!was) return "new since you last looked";
  return `was ${was.quantity}${was.rate === null ? "" : ` at ${was.rate}`}, ${was.cost}`;
};
