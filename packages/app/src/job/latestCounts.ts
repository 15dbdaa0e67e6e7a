import type { PartCount } from "@wide-porch/core";
import { createContext, useContext, useSyncExternalStore } from "react";

/**
 * The counts of the last reckoning, ahead of all that is drawn from it: the one line that answers an entry is not kept
 * waiting by lists and drawings.
 */
export class LatestCounts {
  private counts: ReadonlyMap<string, PartCount> = new Map();
  private readonly listeners = new Set<() => void>();

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly of = (partId: string): PartCount | undefined => this.counts.get(partId);

  set(counts: readonly PartCount[]): void {
    this.counts = new Map(counts.map((count) => [count.partId, count]));
    for (const listener of this.listeners) listener();
  }
}

export const LatestCountsContext = createContext<LatestCounts | undefined>(undefined);

export function useLatestCount(partId: string): PartCount | undefined {
  const latest = useContext(LatestCountsContext);
  if (!latest) throw new Error("useLatestCount: not inside a job");
  const read = () => latest.of(partId);
  return useSyncExternalStore(latest.subscribe, read, read);
}
