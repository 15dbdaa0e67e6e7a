const DAY_MS = 86_400_000;

/** The day it is in a time zone: `2026-11-27`. */
export const dayIn = (timeZone: string, now: Date): string =>
  new Intl.DateTimeFormat("en-CA", { timeZone, year: "numeric", month: "2-digit", day: "2-digit" }).format(now);

/**
 * The date on a quote: the one that the person who issues it sees, where it is a day that it can be somewhere on earth now;
 * else the one that it is where the company is.
 */
export function quoteDate(asked: string | undefined, timeZone = "UTC", now = new Date()): string {
  if (asked === undefined) return dayIn(timeZone, now);
  const awayDays = Math.abs(Date.parse(asked) - Date.parse(dayIn("UTC", now))) / DAY_MS;
  return awayDays <= 1 ? asked : dayIn(timeZone, now);
}
