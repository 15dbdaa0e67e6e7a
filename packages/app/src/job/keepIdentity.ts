import type { Part } from "@wide-porch/core";
import equal from "fast-deep-equal";

/** The earlier object while its content is the same: the server's answer to a change brings nothing new to reckon. */
export const keptIfEqual = <T>(before: T | undefined, after: T): T =>
  before !== undefined && equal(before, after) ? before : after;

/** Each part the earlier object while it is the same, so that only what changed is planned and drawn anew. */
export function keptParts(before: readonly Part[], after: readonly Part[]): readonly Part[] {
  const known = new Map(before.map((part) => [part.id, part]));
  const parts = after.map((part) => keptIfEqual(known.get(part.id), part));
  const same = parts.length === before.length && parts.every((part, index) => part === before[index]);
  return same ? before : parts;
}
