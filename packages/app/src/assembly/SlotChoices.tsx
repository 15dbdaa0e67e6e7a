import {
  type Assembly,
  type AssemblyParameter,
  type AssemblyRef,
  assemblyKindOf,
  builderOf,
  choiceWords,
  kindOf,
  newestAssemblies,
  type Part,
  type Problem,
  type Scalar,
  type SlotParameter,
  settleParameters,
  settlePart,
} from "@wide-porch/core";
import { book } from "@wide-porch/library/book";
import { memo, useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Faint, Strong, Title, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";
import { ApplySheet } from "./ApplySheet";
import { ParameterField } from "./ParameterField";

type Change = (now: Part) => Part;

type Props = {
  /** The part as it stands on the plan; nothing without a slot. */
  readonly part: Part;
  /** Makes the change, to the part as it was entered; says why it could not be made. */
  readonly onChange: (change: Change) => Problem | undefined;
};

/** How the assembly words one of the slot's choices; plainly where it does not have it. */
const parameterFor = (own: SlotParameter, assembly: Assembly, value: Scalar): AssemblyParameter =>
  assembly.parameters.find((each) => each.name === own.name) ?? {
    name: own.name,
    label: own.label,
    kind: own.kind,
    default: value,
    ...(own.among
      ? { choices: own.among.map((each) => ({ value: each, label: (own.words ?? choiceWords)(each) })) }
      : {}),
  };

/** How a part is built: the assembly in its slot, and the choices there are. A press on the one that stands confirms it. */
export const SlotChoices = memo(function SlotChoices({ part, onChange }: Props) {
  const { context, rules } = useJob("context", "rules");
  const [refusal, setRefusal] = useState<string>();
  const [more, setMore] = useState(false);
  const { slot } = kindOf(part);
  if (!slot) return null;
  const builder = builderOf(part, context.system, rules);
  const set = (change: Change) => {
    const problem = onChange(change);
    setRefusal(problem ? `${problem.message} The choice stays as it was.` : undefined);
  };
  if (!builder) {
    return (
      <View className="gap-3">
        <Title level={2}>How it is built</Title>
        <Warning role="alert">{`The assembly “${slot.of(part).assembly.id}” is not there: this part is not counted.`}</Warning>
        <SlotPicker part={part} onChange={set} />
      </View>
    );
  }
  const settled = settlePart(part, context.system, rules);
  const values = slot.values(settled);
  const assumed = slot.assumed(settled);
  const choose = (name: string, value: Scalar) =>
    set((now) => slotOf(now)?.choose(now, { ...slotOf(now)?.of(now).choices, [name]: value }) ?? now);
  const field = (own: SlotParameter) => {
    const value = values.get(own.name);
    if (value === undefined) return null;
    return (
      <ParameterField
        key={own.name}
        parameter={parameterFor(own, builder, value)}
        value={value}
        // Choices that are not asked follow the house quietly.
        assumed={own.asked && assumed.has(own.name)}
        system={context.system}
        books={context}
        sections={own.sections}
        onChange={(chosen) => {
          if (own.stands(chosen)) choose(own.name, chosen);
          else setRefusal("This value cannot stand here. The choice stays as it was.");
        }}
      />
    );
  };
  const open = slot.parameters.filter(({ applies }) => applies?.(values) ?? true);
  // What the assembly asks besides, by the same rule as it is counted: the part's, else the house's, else its own.
  const others = settleParameters(builder, slot.of(part).choices, rules.standard, values, book).settled;
  return (
    <View className="gap-4">
      <Title level={2}>How it is built</Title>
      {refusal ? <Warning role="alert">{refusal}</Warning> : null}
      <SlotPicker part={part} onChange={set} />
      {open.filter((each) => each.asked).map(field)}
      <Button
        label={more ? "Fewer choices" : "More choices"}
        kind="plain"
        onPress={() => setMore(!more)}
        name={more ? "Fewer choices" : `More choices: ${slot.moreWords}`}
      />
      {more ? (
        <>
          {open.filter((each) => !each.asked).map(field)}
          {builder.parameters
            .filter((parameter) => others.has(parameter.name))
            .map((parameter) => (
              <ParameterField
                key={parameter.name}
                parameter={parameter}
                value={others.get(parameter.name)?.value ?? parameter.default}
                assumed={false}
                system={context.system}
                books={context}
                onChange={(value) => choose(parameter.name, value)}
              />
            ))}
        </>
      ) : null}
    </View>
  );
}, sameChoices);

const slotOf = (part: Part) => kindOf(part).slot;

/** Other figures of the part are nothing to it. */
function sameChoices(a: Props, b: Props): boolean {
  return a.onChange === b.onChange && a.part.id === b.part.id && slotOf(a.part)?.same(a.part, b.part) === true;
}

/** Which assembly builds it. */
function SlotPicker({ part, onChange }: { readonly part: Part; readonly onChange: (change: Change) => void }) {
  const { rules, context } = useJob("rules", "context");
  const [open, setOpen] = useState(false);
  const slot = slotOf(part);
  if (!slot) return null;
  const { assembly } = slot.of(part);
  const now = builderOf(part, context.system, rules);
  const offered = newestAssemblies(context.system, rules.assemblies).filter(
    (each) => each.slot === slot.id && each.appliesTo === assemblyKindOf(part),
  );
  const fill = ({ id, version }: AssemblyRef) => {
    setOpen(false);
    onChange((each) => slotOf(each)?.fill(each, { id, version }) ?? each);
  };
  return (
    <View className="flex-row items-center justify-between gap-3 border-b border-rule pb-2">
      <View className="min-w-0 flex-1">
        <Strong>{now?.name ?? assembly.id}</Strong>
        <Faint>{`${slot.words}, version ${assembly.version}`}</Faint>
      </View>
      <Button label="Change" kind="plain" name={slot.changeWords} onPress={() => setOpen(true)} />
      {open ? (
        <ApplySheet
          title={slot.question}
          assemblies={offered}
          chosenId={assembly.id}
          onChoose={fill}
          onClose={() => setOpen(false)}
        />
      ) : null}
    </View>
  );
}
