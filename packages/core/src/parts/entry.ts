import { type Problem, problem } from "../problems/problem";
import { formatLength, parseLength } from "../units";
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
    return { part: kind.withRefused(part, path, typed.slice(0, 120)), problem: { ...length.problem, path } };
  }
  const changed = kind.withRefused(kind.withDimension(part, path, length.value, typed), path, undefined);
  const first = kind.problems(settle(changed), context)[0];
  if (!first) return { part: changed };
  const message =
    path.endsWith(".head") && first.code === "not-positive" ? headBelowSill(length.value, context) : first.message;
  return { part: kind.withRefused(part, path, typed), problem: problem(first.code, path, message) };
}

const headBelowSill = (valueNm: number, context: PartContext): string =>
  `The sill is above a head at ${formatLength(valueNm, context.system)}.`;
