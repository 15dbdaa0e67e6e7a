import { type Parsed, type Problem, problem, refused } from "../problems/problem";
import { formatFigure, formatLength, LONGEST_ENTRY, parseFigure, parseLength } from "../units";
import type { FigureSlot } from "./figure";
import type { PartContext, PartKind } from "./partKind";

/** What came of an entry: the part to keep in either case, and why the entry was not used if it was not. */
export type EntryResult<P> = { readonly part: P; readonly problem?: Problem };

/**
 * Makes an entry in one figure of a part. An entry that cannot be read, or that makes the part impossible, changes no
 * value: the last good one stays in force and the text is kept beside it for correction.
 */
export function enterDimension<P>(
  kind: PartKind<P>,
  part: P,
  path: string,
  typed: string,
  context: PartContext,
  /** The part with its assumed choices settled as they are counted: an entry is judged by those. */
  settle: (part: P) => P = (as) => as,
): EntryResult<P> {
  const length = parseLength(typed, context.system);
  if (!length.ok) {
    return { part: kind.withRefused(part, path, typed.slice(0, LONGEST_ENTRY)), problem: { ...length.problem, path } };
  }
  const changed = kind.withRefused(
    kind.withDimension(part, path, length.value, typed, context, settle(part)),
    path,
    undefined,
  );
  const first = kind.problems(settle(changed), context)[0];
  if (!first) return { part: changed };
  const message =
    path.endsWith(".head") && first.code === "not-positive" ? headBelowSill(length.value, context) : first.message;
  return { part: kind.withRefused(part, path, typed), problem: problem(first.code, path, message) };
}

/**
 * Makes an entry in any figure of a part, read as what it measures. As with a length, an entry that cannot be used changes no
 * value. Throws for a path that is no figure of the part.
 */
export function enterFigure<P>(
  kind: PartKind<P>,
  part: P,
  path: string,
  typed: string,
  context: PartContext,
  settle: (part: P) => P = (as) => as,
): EntryResult<P> {
  const slot = kind.figures?.(settle(part)).find((each) => each.path === path);
  if (!slot) return enterDimension(kind, part, path, typed, context, settle);
  const read = within(slot, parseFigure(slot.measure, typed, context.system), context);
  const refusing = (found: Problem) => ({
    part: slot.keepsRefused ? kind.withRefused(part, path, typed.slice(0, LONGEST_ENTRY)) : part,
    problem: problem(found.code, path, found.message),
  });
  if (!read.ok) return refusing(read.problem);
  if (!kind.withFigure) throw new Error(`enterFigure: "${kind.kind}" takes no figure "${path}"`);
  const set = kind.withFigure(part, path, read.value, typed);
  const changed = slot.keepsRefused ? kind.withRefused(set, path, undefined) : set;
  const first = kind.problems(settle(changed), context)[0];
  return first ? refusing(first) : { part: changed };
}

function within({ label, measure, least, most }: FigureSlot, read: Parsed<number>, { system }: PartContext) {
  if (!read.ok) return read;
  const say = (value: number) => formatFigure(measure, value, system);
  if (least !== undefined && read.value < least) return refused("too-small", `${label}: at least ${say(least)}.`);
  return most !== undefined && read.value > most ? refused("too-large", `${label}: at most ${say(most)}.`) : read;
}

const headBelowSill = (valueNm: number, context: PartContext): string =>
  `The sill is above a head at ${formatLength(valueNm, context.system)}.`;
