import type { CountLine, PartCount } from "@wide-porch/core";

export type Grouping = "trade" | "part";
export type Group = { readonly key: string; readonly title: string; readonly lines: readonly CountLine[] };

/** The job's count lines under the headings asked for, in the order they come up. */
export function groupLines(counts: readonly PartCount[], by: Grouping): Group[] {
  const groups = new Map<string, { title: string; lines: CountLine[] }>();
  for (const line of counts.flatMap((count) => count.lines)) {
    const key = by === "trade" ? line.trade : line.partId;
    const group = groups.get(key);
    if (group) group.lines.push(line);
    else groups.set(key, { title: by === "trade" ? line.trade : line.partName, lines: [line] });
  }
  return [...groups].map(([key, { title, lines }]) => ({ key, title, lines }));
}

export const unitWords = (line: CountLine): string => (line.quantity === 1 ? line.unit : `${line.unit}s`);
