import { recordOf } from "../migrations/fields";
import type { SlotParameter } from "./slot";
import { choicesSchema, scalarSchema } from "./use";

/**
 * Choices of a part, in which what its slot knows by name has to be something that can be built by. Names the slot does not
 * know are parameters of the assembly, and are checked against it when they are counted.
 */
export const choicesThatStand = (parameters: readonly SlotParameter[]): typeof choicesSchema =>
  choicesSchema.superRefine((choices, context) => {
    for (const { name, label, stands } of parameters) {
      const value = Object.hasOwn(choices, name) ? choices[name] : undefined;
      if (value === undefined || stands(value)) continue;
      context.addIssue({
        code: "custom",
        path: [name],
        message: `${label}: “${String(value)}” is nothing that can be built by.`,
      });
    }
  }) as typeof choicesSchema;

/** A record of before, when a choice nothing can be built by was kept: without it. It was told, and was never in force. */
export const withoutUnbuildable =
  (parameters: readonly SlotParameter[]) =>
  (part: Readonly<Record<string, unknown>>): Record<string, unknown> => {
    const choices = { ...recordOf(part.choices) };
    for (const { name, stands } of parameters) {
      const scalar = scalarSchema.safeParse(choices[name]);
      if (!scalar.success || !stands(scalar.data)) delete choices[name];
    }
    return { ...part, choices };
  };
