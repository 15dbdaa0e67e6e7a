import { countPart, type Library, type PartCount, type PartCounter, plainLine } from "@wide-porch/core/reckoning";
import type { SentCount } from "./sentCounts";

type Entry = { readonly key: string; readonly count: PartCount };

/** Counts only the parts that have changed since the last time; all of them once the library is another. */
export class CountCache {
  private entries = new Map<string, Entry>();
  private next = new Map<string, Entry>();
  /** As the page has them: with what other parts make of them. */
  private sent = new Map<string, PartCount>();
  private library: Library | undefined;

  readonly count: PartCounter = (part, system, library, around) => {
    if (library !== this.library) {
      this.entries.clear();
      this.library = library;
    }
    const key = `${system}${JSON.stringify(part)}${JSON.stringify(around ?? null)}`;
    const known = this.entries.get(part.id);
    const entry = known?.key === key ? known : { key, count: countPart(part, system, library, around) };
    this.next.set(part.id, entry);
    return entry.count;
  };

  /** Ends a round: which of its counts the page has from the round before. Parts that are gone are forgotten. */
  settle(counts: readonly PartCount[]): SentCount[] {
    const sent = counts.map((count) =>
      this.sent.get(count.partId) === count
        ? { unchanged: count.partId }
        : // Lines write their working when it is read; it is read here, as what is sent is plain data.
          { ...count, lines: count.lines.map(plainLine) },
    );
    this.sent = new Map(counts.map((count) => [count.partId, count]));
    this.entries = this.next;
    this.next = new Map();
    return sent;
  }
}
