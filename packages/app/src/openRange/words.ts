import { formatChange, lessMoney, type OpenPointRange, type OpenRange } from "@wide-porch/core";

/** `2 × 6: +$180.00; 2 × 3: −$40.00`. */
export function endsText({ less, more, lessWords, moreWords, unknown }: OpenPointRange, currency: string): string {
  if (unknown !== "") return `${unknown} What it may come to cannot be said.`;
  const end = (words: string, amount: string) => (words === "" ? [] : [`${words}: ${formatChange(amount, currency)}`]);
  const ends = [...end(lessWords, less), ...end(moreWords, more)];
  return ends.length === 0 ? "Whatever it turns out to be, the price stays." : ends.join("; ");
}

/** `+4 %` of what it is now. */
export function shareText(to: string, { total }: Pick<OpenRange, "total">): string {
  if (Number(total) === 0) return "";
  const percent = (100 * Number(lessMoney(to, total))) / Number(total);
  return `${percent > 0 ? "+" : percent < 0 ? "−" : ""}${Math.abs(percent).toFixed(1)} %`;
}
