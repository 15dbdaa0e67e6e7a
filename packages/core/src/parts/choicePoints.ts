import { isAssumed, type WithChoices } from "./choicesSlot";
import type { OpenPoint } from "./partKind";
import type { SlotParameter } from "./slot";
import type { Scalar } from "./use";

/** Choices that somebody has to confirm, where they come to something beside the others; `usual` are those in force while nothing is settled. */
export function choicePoints<C extends Readonly<Record<string, Scalar>>>(
  part: WithChoices<C>,
  parameters: readonly SlotParameter[],
  usual: C,
): OpenPoint[] {
  const values = new Map(Object.entries(part.settled?.choices ?? usual));
  return parameters
    .filter(({ name, asked, applies }) => asked && isAssumed(part, name) && (applies?.(values) ?? true))
    .map(({ path, label }) => ({ path, kind: "assumed", message: `${label} is assumed` }));
}
