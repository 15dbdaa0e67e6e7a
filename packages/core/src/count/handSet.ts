import type { OpenPoint, Part } from "../parts";
import type { Nanometres } from "../units";
import type { CountedLine } from "./countedLine";
import type { CountLine } from "./countLine";

/** Lengths for another number of pieces: the last are left out, or the commonest length is cut more often. */
function lengthsFor(lengthsNm: readonly Nanometres[], quantity: number): readonly Nanometres[] {
  if (lengthsNm.length === 0 || quantity === lengthsNm.length) return lengthsNm;
  const whole = Math.ceil(quantity);
  if (whole < lengthsNm.length) return lengthsNm.slice(0, whole);
  const times = new Map<Nanometres, number>();
  for (const lengthNm of lengthsNm) times.set(lengthNm, (times.get(lengthNm) ?? 0) + 1);
  const [commonest = 0] = [...times].toSorted(([, a], [, b]) => b - a)[0] ?? [];
  return [...lengthsNm, ...Array.from({ length: whole - lengthsNm.length }, () => commonest)];
}

/**
 * The lines with the counts that people set in force. What was computed stays beside them; a count set on a line that is
 * counted no longer is told as an open point, and kept.
 */
export function withHandSet(
  lines: readonly CountedLine[],
  part: Part,
): { readonly lines: readonly CountLine[]; readonly openPoints: readonly OpenPoint[] } {
  if (part.handSet.length === 0) return { lines, openPoints: [] };
  const set = new Map(part.handSet.map((each) => [each.line, each]));
  const changed = lines.map((line): CountLine => {
    const byHand = set.get(line.key);
    if (!byHand) return line;
    set.delete(line.key);
    const { quantity, reason } = byHand;
    const cutLengthsNm = lengthsFor(line.cutLengthsNm, quantity);
    return line.with({ quantity, byHand: reason, missing: undefined, cutLengthsNm });
  });
  const openPoints = [...set.values()].map(
    ({ line, quantity, reason }): OpenPoint => ({
      path: `handSet.${line}`,
      kind: "conflict",
      message: `${quantity} was set by hand for “${line}” (${reason}), which is counted no longer`,
    }),
  );
  return { lines: changed, openPoints };
}
