import { type CountLine, type Part, type PartCount, plainLine } from "@wide-porch/core";

/** What the other side already has, by its id. */
export type Unchanged = { readonly unchanged: string };

/** A line the page already has, by its id; or a new one. */
export type SentLine = CountLine | Unchanged;

/** A count the page already has, by its part; one whose lines alone are other; or a new one. */
export type SentCount = PartCount | Unchanged | (Unchanged & { readonly lines: readonly SentLine[] });

/** A part the worker already has; or one it does not know yet. */
export type SentPart = Part | Unchanged;

/** Parts for the worker: those it was sent before, and that are the same objects still, are only named. */
export function namedIfSent(parts: readonly Part[], before: readonly Part[]): SentPart[] {
  const sent = new Set(before);
  return parts.map((part) => (sent.has(part) ? { unchanged: part.id } : part));
}

/** The full parts again, on the worker's side. Throws for one that was never sent. */
export function withKnownParts(sent: readonly SentPart[], before: readonly Part[]): Part[] {
  const known = new Map(before.map((part) => [part.id, part]));
  return sent.map((each) => {
    if (!("unchanged" in each)) return each;
    const part = known.get(each.unchanged);
    if (!part) throw new Error(`withKnownParts: part ${each.unchanged} was not sent before`);
    return part;
  });
}

/**
 * A count for the page, which has `before` of it. What other parts make of a part changes some of its lines and nothing else: its
 * pieces are then the same objects. Lines write their working when it is read; it is read here, as what is sent is plain data.
 */
export function countForPage(count: PartCount, before: PartCount | undefined): SentCount {
  if (count === before) return { unchanged: count.partId };
  if (before?.pieces !== count.pieces) return { ...count, lines: count.lines.map(plainLine) };
  const known = new Set(before.lines);
  const lines = count.lines.map((line) => (known.has(line) ? { unchanged: line.id } : plainLine(line)));
  return { unchanged: count.partId, lines };
}

/** The full counts again, on the page's side. Throws for one that was never sent. */
export function withUnchanged(sent: readonly SentCount[], before: readonly PartCount[]): PartCount[] {
  const known = new Map(before.map((count) => [count.partId, count]));
  return sent.map((each) => {
    if (!("unchanged" in each)) return each;
    const count = known.get(each.unchanged);
    if (!count) throw new Error(`withUnchanged: no earlier count of part ${each.unchanged}`);
    return "lines" in each ? { ...count, lines: withKnownLines(each.lines, count) } : count;
  });
}

function withKnownLines(sent: readonly SentLine[], before: PartCount): CountLine[] {
  const known = new Map(before.lines.map((line) => [line.id, line]));
  return sent.map((each) => {
    if (!("unchanged" in each)) return each;
    const line = known.get(each.unchanged);
    if (!line) throw new Error(`withUnchanged: no earlier line ${each.unchanged} of ${before.partId}`);
    return line;
  });
}
