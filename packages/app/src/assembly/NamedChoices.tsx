import {
  type AssemblyParameter,
  builderOf,
  kindOf,
  type Part,
  type Problem,
  type Scalar,
  settleParameters,
} from "@wide-porch/core";
import { book } from "@wide-porch/library/book";
import type { ReactNode } from "react";
import { View } from "react-native";
import { useJob } from "../job/JobContext";
import { ParameterField } from "./ParameterField";

type Props = {
  readonly part: Part;
  readonly names: readonly string[];
  readonly onChange: (change: (now: Part) => Part) => Problem | undefined;
  /** What is shown beneath one. */
  readonly under?: (parameter: AssemblyParameter, value: Scalar) => ReactNode;
};

/** The part with choices of what builds it made. */
export function withChoices(part: Part, chosen: Readonly<Record<string, Scalar>>): Part {
  const slot = kindOf(part).slot;
  return slot ? slot.choose(part, { ...slot.of(part).choices, ...chosen }) : part;
}

/** Some of the parameters that are the assembly's own, where it asks for them: those that are looked for first. */
export function NamedChoices({ part, names, onChange, under }: Props) {
  const { context, rules } = useJob("context", "rules");
  const slot = kindOf(part).slot;
  const builder = builderOf(part, context.system, rules);
  const asked = names.flatMap((name) => builder?.parameters.filter((each) => each.name === name) ?? []);
  if (!slot || !builder || asked.length === 0) return null;
  const { settled } = settleParameters(builder, slot.of(part).choices, rules.standard, undefined, book);
  return asked.map((parameter) => {
    const value = settled.get(parameter.name)?.value ?? parameter.default;
    return (
      <View key={parameter.name} className="gap-2">
        <ParameterField
          parameter={parameter}
          value={value}
          assumed={false}
          system={context.system}
          books={context}
          onChange={(chosen) => void onChange((now) => withChoices(now, { [parameter.name]: chosen }))}
        />
        {under?.(parameter, value)}
      </View>
    );
  });
}
