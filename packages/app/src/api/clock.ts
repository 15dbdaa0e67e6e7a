import { pluralOf, soMany } from "@wide-porch/core";

/** Differences below this are the network's, or nobody's business. */
const NOTABLE_MS = 5 * 60_000;

let aheadMs = 0;
const listeners = new Set<() => void>();

export const subscribeToClock = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** How far this device's clock is ahead of the server's, in milliseconds; 0 where it is near enough. */
export const clockAheadMs = (): number => aheadMs;

/** Takes the time from an answer's `Date`. What it says nothing of, or nonsense, changes nothing. */
export function noteServerTime(date: string | null, nowMs: number): void {
  const serverMs = Date.parse(date ?? "");
  if (Number.isNaN(serverMs)) return;
  const difference = nowMs - serverMs;
  const next = Math.abs(difference) < NOTABLE_MS ? 0 : Math.round(difference / 60_000) * 60_000;
  if (next === aheadMs) return;
  aheadMs = next;
  for (const listener of listeners) listener();
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** `3 hours fast`, `12 minutes slow`. */
export function clockText(byMs: number): string {
  const size = Math.abs(byMs);
  const [count, unit] =
    size >= DAY_MS ? [size / DAY_MS, "day"] : size >= HOUR_MS ? [size / HOUR_MS, "hour"] : [size / 60_000, "minute"];
  const whole = Math.round(count);
  return `${soMany(whole, unit, pluralOf(unit))} ${byMs > 0 ? "fast" : "slow"}`;
}
