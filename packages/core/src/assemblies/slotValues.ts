import type { Scalar, SlotParameter } from "../kinds";
import { ownValue } from "../records/ownValue";
import type { Value } from "./formula/layoutAnswers";
import { formulaValue } from "./parameters";

/** Choices of a slot as formulas take them: lengths in metres. */
export function slotValues(
  parameters: readonly SlotParameter[],
  choices: Readonly<Record<string, Scalar>>,
): Map<string, Value> {
  const values = new Map<string, Value>();
  for (const { name, kind } of parameters) {
    const value = ownValue(choices, name);
    if (value !== undefined) values.set(name, formulaValue(kind, value));
  }
  return values;
}
