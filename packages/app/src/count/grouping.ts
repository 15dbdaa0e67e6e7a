import type { CountLine, PartCount } from "@wide-porch/core";

export const GROUPINGS = ["trade", "part", "location", "assembly", "phase"] as const;
export type Grouping = (typeof GROUPINGS)[number];
export type Group = { readonly key: string; readonly title: string; readonly lines: readonly CountLine[] };

const HEADINGS: Record<Grouping, (line: CountLine) => { key: string; title: string }> = {
  trade: ({ trade }) => ({ key: trade, title: trade }),
  part: ({ partId, partName }) => ({ key: partId, title: partName }),
  location: ({ storey, location }) => ({
    key: `${storey}/${location}`,
    title: location ? `${storey}, ${location}` : storey,
  }),
  assembly: ({ assembly }) => ({
    key: `${assembly.id}@${assembly.version}`,
    title: `${assembly.name}, version ${assembly.version}`,
  }),
  phase: ({ phase }) => ({ key: phase, title: phase || "No phase" }),
};

/** Whether a line is sought by some words: all of them have to be somewhere in it. */
function isSought(line: CountLine, words: readonly string[]): boolean {
  const text = [
    line.description,
    line.partName,
    line.trade,
    line.location,
    line.storey,
    line.assembly.name,
    line.itemCode,
  ]
    .join(" ")
    .toLowerCase();
  return words.every((word) => text.includes(word));
}

export type Narrowed = { readonly search: string; readonly trade: string; readonly onlyByHand: boolean };

/** The job's count lines that are sought, in the order they come up. Lines of nothing are left out, but for those that say why. */
export function narrowed(counts: readonly PartCount[], { search, trade, onlyByHand }: Narrowed): CountLine[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return counts
    .flatMap((count) => count.lines)
    .filter((line) => trade === "" || line.trade === trade)
    .filter((line) => !onlyByHand || line.byHand !== undefined)
    .filter((line) => isSought(line, words));
}

/** Lines under the headings asked for. */
export function groupLines(lines: readonly CountLine[], by: Grouping): Group[] {
  const groups = new Map<string, { title: string; lines: CountLine[] }>();
  for (const line of lines) {
    const { key, title } = HEADINGS[by](line);
    const group = groups.get(key);
    if (group) group.lines.push(line);
    else groups.set(key, { title, lines: [line] });
  }
  return [...groups].map(([key, { title, lines: own }]) => ({ key, title, lines: own }));
}

export const tradesOf = (counts: readonly PartCount[]): string[] => [
  ...new Set(counts.flatMap((count) => count.lines.map((line) => line.trade))),
];
