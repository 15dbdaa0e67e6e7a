import type { BareLine } from "./ledgerLine";

/** The one thing that all lines say; undefined where they differ, or where there are none. */
export function common<K extends keyof BareLine>(lines: readonly BareLine[], key: K): BareLine[K] | undefined {
  const [first] = lines;
  return first && lines.every((line) => line[key] === first[key]) ? first[key] : undefined;
}
