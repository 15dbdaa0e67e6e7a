import { type Assembly, assembledFrom, newestAssemblies } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Faint, Strong, Title, Warning } from "../../components/Text";
import { ApplySheet } from "../ApplySheet";

type Props = {
  readonly assembly: Assembly;
  readonly others: readonly Assembly[];
  readonly onChange: (assembly: Assembly) => void;
};

/** The assembly that this one builds on: what it has from there, each rule changed under its name or left out. */
export function BuildsOn({ assembly, others, onChange }: Props) {
  const [picking, setPicking] = useState(false);
  const { basedOn, leavesOut } = assembly;
  const base = basedOn && others.find((each) => each.id === basedOn.id && each.version === basedOn.version);
  const newest = newestAssemblies(assembly.system, others);
  const newer = newest.find((each) => each.id === basedOn?.id && each.version > basedOn.version);
  const offered = newest.filter((each) => each.appliesTo === assembly.appliesTo && each.id !== assembly.id);
  const left = leavesOut?.rules ?? [];
  const put = (rules: string[]) =>
    onChange({ ...assembly, leavesOut: { parameters: leavesOut?.parameters ?? [], rules } });
  const away = () => {
    const { basedOn: _, leavesOut: __, ...own } = assembly;
    onChange(own);
  };
  const inherited = base ? assembledFrom(base, others).assembly.rules : [];
  return (
    <View className="gap-2">
      <Title level={2}>Builds on</Title>
      {basedOn && !base ? <Warning>{`“${basedOn.id}”, version ${basedOn.version}, is not there.`}</Warning> : null}
      {base ? <Strong>{`${base.name}, version ${base.version}`}</Strong> : <Faint>Nothing: it stands by itself.</Faint>}
      {newer ? (
        <Button
          label={`Build on version ${newer.version}`}
          kind="plain"
          onPress={() => onChange({ ...assembly, basedOn: { id: newer.id, version: newer.version } })}
        />
      ) : null}
      <View role="list">
        {inherited.map((rule) => (
          <InheritedRule
            key={rule.name}
            label={rule.label}
            state={stateOf(rule.name, assembly, left)}
            onChangeHere={() => onChange({ ...assembly, rules: [...assembly.rules, rule] })}
            onLeaveOut={() => put([...left, rule.name])}
            onTakeIn={() => put(left.filter((each) => each !== rule.name))}
          />
        ))}
      </View>
      <View className="flex-row gap-2">
        <Button
          label={basedOn ? "Build on another" : "Build on an assembly"}
          kind="plain"
          onPress={() => setPicking(true)}
        />
        {basedOn ? <Button label="Stand by itself" kind="quiet" onPress={away} /> : null}
      </View>
      {picking ? (
        <ApplySheet
          title="What does it build on?"
          assemblies={offered}
          chosenId={basedOn?.id}
          onChoose={({ id, version }) => {
            setPicking(false);
            onChange({ ...assembly, basedOn: { id, version } });
          }}
          onClose={() => setPicking(false)}
        />
      ) : null}
    </View>
  );
}

type State = "as it is there" | "changed here" | "left out";

const stateOf = (name: string, { rules }: Assembly, left: readonly string[]): State =>
  left.includes(name) ? "left out" : rules.some((each) => each.name === name) ? "changed here" : "as it is there";

type RuleProps = {
  readonly label: string;
  readonly state: State;
  readonly onChangeHere: () => void;
  readonly onLeaveOut: () => void;
  readonly onTakeIn: () => void;
};

function InheritedRule({ label, state, onChangeHere, onLeaveOut, onTakeIn }: RuleProps) {
  return (
    <View role="listitem" className="flex-row items-center justify-between gap-2 border-b border-rule">
      <View className="min-w-0 flex-1">
        <Strong>{label}</Strong>
        <Faint>{state}</Faint>
      </View>
      {state === "as it is there" ? (
        <Button label="Change" kind="quiet" name={`Change ${label} here`} onPress={onChangeHere} />
      ) : null}
      {state === "left out" ? (
        <Button label="Take in" kind="quiet" name={`Take ${label} in again`} onPress={onTakeIn} />
      ) : (
        <Button label="Leave out" kind="quiet" name={`Leave ${label} out`} onPress={onLeaveOut} />
      )}
    </View>
  );
}
