const DAY_MS = 86_400_000;

/**
 * The date on a quote: the one that the person who issues it sees, where it is a day that it can be somewhere on earth now;
 * else the server's own, in universal time.
 */
export function quoteDate(asked: string | undefined, now = new Date()): string {
  const own = now.toISOString().slice(0, 10);
  if (asked === undefined) return own;
  const awayDays = Math.abs(Date.parse(asked) - Date.parse(own)) / DAY_MS;
  return awayDays <= 1 ? asked : own;
}
