import { ownValue } from "../records/ownValue";
import { formatSpacing } from "../units";
import type { PartContext } from "./partKind";
import type { SlotParameter } from "./slot";
import type { Scalar } from "./use";

/** What a choice is, in words: `16 in`, `2 × 6`, `Three studs`, `Yes`. */
export function choiceText({ kind, words }: SlotParameter, value: Scalar, context: PartContext): string {
  if (typeof value === "boolean") return value ? "Yes" : "No";
  if (kind === "length") return value === 0 ? "None" : formatSpacing(Number(value), context.system);
  const text = String(value);
  if (kind === "section") return ownValue(context.sections, text)?.name ?? text;
  if (kind === "unit") return ownValue(context.units, text)?.name ?? text;
  return words?.(text) ?? text;
}
