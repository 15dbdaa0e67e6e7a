import type { OpenPoint, Part } from "../kinds";
import type { Nanometres } from "../units";
import type { CountedLine } from "./countedLine";
import type { CountLine } from "./countLine";

/** No more pieces than this are cut one by one. */
const MOST_LENGTHS_SET = 50_000;

/** Lengths for another number of pieces: the last are left out, or the commonest length is cut more often. */
function lengthsFor(lengthsNm: readonly Nanometres[], quantity: number): readonly Nanometres[] {
  if (lengthsNm.length === 0 || quantity === lengthsNm.length) return lengthsNm;
  const whole = Math.min(Math.ceil(quantity), MOST_LENGTHS_SET);
  if (whole < lengthsNm.length) return lengthsNm.slice(0, whole);
  const times = new Map<Nanometres, number>();
  for (const lengthNm of lengthsNm) times.set(lengthNm, (times.get(lengthNm) ?? 0) + 1);
  const [commonest = 0] = [...times].toSorted(([, a], [, b]) => b - a)[0] ?? [];
  return [...lengthsNm, ...Array.from({ length: whole - lengthsNm.length }, () => commonest)];
}

/** Why so many pieces are not on the cut list one by one; undefined where they are. */
function notCut({ buying }: CountLine, quantity: number, pieces: number): string | undefined {
  if (buying !== "cut" || quantity <= pieces) return undefined;
  if (pieces === 0) return `${quantity} set by hand, but nobody has said how long: whole lengths are ordered`;
  return `${quantity} set by hand are more than are cut one by one: ${pieces} are ordered`;
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
  const openPoints: OpenPoint[] = [];
  const changed = lines.map((line): CountLine => {
    const byHand = set.get(line.key);
    if (!byHand) return line;
    set.delete(line.key);
    const { quantity, reason } = byHand;
    const cutLengthsNm = lengthsFor(line.cutLengthsNm, quantity);
    const said = notCut(line, quantity, cutLengthsNm.length);
    if (said)
      openPoints.push({ path: `handSet.${line.key}`, kind: "conflict", message: `${line.description}: ${said}` });
    return line.with({ quantity, byHand: reason, missing: undefined, cutLengthsNm });
  });
  const ofGone = [...set.values()].map(
    ({ line, quantity, reason }): OpenPoint => ({
      path: `handSet.${line}`,
      kind: "conflict",
      message: `${quantity} was set by hand for “${line}” (${reason}), which is counted no longer`,
    }),
  );
  return { lines: changed, openPoints: [...openPoints, ...ofGone] };
}
