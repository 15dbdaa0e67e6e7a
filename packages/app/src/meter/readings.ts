import { useEffect, useSyncExternalStore } from "react";
import type { DistanceMeter, Reading } from "./distanceMeter";

const MOST_WAITING = 6;

type Taker = (typed: string) => void;

/** Where readings go: into the entry that is open, or onto a short list to be picked from. */
class Readings {
  private waiting: readonly Reading[] = [];
  private takers: readonly Taker[] = [];
  private readonly listeners = new Set<() => void>();

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly read = (): readonly Reading[] => this.waiting;

  readonly arrive = (reading: Reading): boolean => {
    const taker = this.takers[this.takers.length - 1];
    if (taker) taker(reading.typed);
    else this.set([reading, ...this.waiting].slice(0, MOST_WAITING));
    return taker !== undefined;
  };

  readonly use = (id: string): void => this.set(this.waiting.filter((each) => each.id !== id));

  readonly takeBy = (taker: Taker): (() => void) => {
    this.takers = [...this.takers, taker];
    return () => {
      this.takers = this.takers.filter((each) => each !== taker);
    };
  };

  private set(waiting: readonly Reading[]): void {
    this.waiting = waiting;
    for (const listener of this.listeners) listener();
  }
}

export const meterReadings = new Readings();

export const useWaitingReadings = (): readonly Reading[] =>
  useSyncExternalStore(meterReadings.subscribe, meterReadings.read, meterReadings.read);

/** Listens to a meter while the page that asks is there. */
export function useMeter(meter: DistanceMeter): void {
  useEffect(() => meter.listen(meterReadings.arrive), [meter]);
}
