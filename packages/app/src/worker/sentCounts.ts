import type { PartCount } from "@wide-porch/core";

/** A count the page already has, by its part; or a new one. */
export type SentCount = PartCount | { readonly unchanged: string };

/** The full counts again, on the page's side. */
export function withUnchanged(sent: readonly SentCount[], before: readonly PartCount[]): PartCount[] {
  const known = new Map(before.map((count) => [count.partId, count]));
  return sent.map((each) => {
    if (!("unchanged" in each)) return each;
    const count = known.get(each.unchanged);
    if (!count) throw new Error(`withUnchanged: no earlier count of part ${each.unchanged}`);
    return count;
  });
}
