import { countPart, type Library, type PartCount, type PartCounter } from "@wide-porch/core/reckoning";
import { countForPage, type SentCount } from "./sent";

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

  /** Ends a round. Parts that are gone are forgotten. */
  settle(): void {
    this.entries = this.next;
    this.next = new Map();
  }

  /** The counts whose parts are counted anew, and no other: what answers an entry is sent ahead of what follows from it. */
  fresh(counts: readonly PartCount[]): SentCount[] {
    const fresh = counts.filter((count) => this.sent.get(count.partId)?.pieces !== count.pieces);
    return this.send(fresh);
  }

  /** All counts; those that the page has are only named. */
  all(counts: readonly PartCount[]): SentCount[] {
    const sent = this.send(counts);
    this.sent = new Map(counts.map((count) => [count.partId, count]));
    return sent;
  }

  private send(counts: readonly PartCount[]): SentCount[] {
    const sent = counts.map((count) => countForPage(count, this.sent.get(count.partId)));
    for (const count of counts) this.sent.set(count.partId, count);
    return sent;
  }
}
