import {
  type Assembly,
  type AssemblyUse,
  assemblyKindOf,
  findAssembly,
  newestAssemblies,
  type Part,
  type Scalar,
  settleParameters,
} from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { memo, useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { Plus, Trash2 } from "../icons";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";
import { ApplySheet } from "./ApplySheet";
import { ParameterField } from "./ParameterField";

/** What else is built on a part: assemblies that apply to it, each with its own choices. */
export const UsesPanel = memo(function UsesPanel({ part }: { readonly part: Part }) {
  const { rules, context, changePart } = useJob("rules", "context", "changePart");
  const [adding, setAdding] = useState(false);
  const { system } = context;
  const offered = newestAssemblies(system, rules.assemblies).filter(
    (each) => each.appliesTo === assemblyKindOf(part) && each.slot === undefined,
  );
  const put = (change: (uses: readonly AssemblyUse[]) => AssemblyUse[]) =>
    changePart(part.id, (now) => ({ ...now, uses: change(now.uses) }));
  const apply = ({ id, version }: Assembly) => {
    setAdding(false);
    put((uses) => [...uses, { id: newId().slice(0, 8), assembly: { id, version }, choices: {} }]);
  };
  return (
    <View className="gap-3">
      <Title level={2}>Assemblies</Title>
      {part.uses.length === 0 ? (
        <Faint>Nothing applied yet: choose what is built here, and it is counted.</Faint>
      ) : null}
      {part.uses.map((use) => (
        <Use
          key={use.id}
          use={use}
          onChange={(changed) => put((uses) => uses.map((each) => (each.id === use.id ? changed : each)))}
          onRemove={() => put((uses) => uses.filter((each) => each.id !== use.id))}
        />
      ))}
      <Button label="Apply an assembly" kind="plain" icon={Plus} onPress={() => setAdding(true)} />
      {adding ? (
        <ApplySheet
          title="Apply an assembly"
          assemblies={offered}
          chosenId={undefined}
          onChoose={apply}
          onClose={() => setAdding(false)}
        />
      ) : null}
    </View>
  );
}, sameUses);

/** Other figures of the part are nothing to it. */
function sameUses(a: { readonly part: Part }, b: { readonly part: Part }): boolean {
  return a.part.id === b.part.id && a.part.uses === b.part.uses;
}

type UseProps = {
  readonly use: AssemblyUse;
  readonly onChange: (use: AssemblyUse) => void;
  readonly onRemove: () => void;
};

function Use({ use, onChange, onRemove }: UseProps) {
  const { rules, context, jobId } = useJob("rules", "context", "jobId");
  const { system } = context;
  const assembly = findAssembly(use.assembly, system, rules);
  if (!assembly) {
    return (
      <View className="gap-2 border-b border-rule pb-3">
        <Warning role="alert">{`The assembly “${use.assembly.id}” is not there: it is not counted.`}</Warning>
        <Button label="Take it off" kind="plain" icon={Trash2} onPress={onRemove} />
      </View>
    );
  }
  const { settled, problems } = settleParameters(assembly, use.choices, rules.standard);
  const choose = (name: string, value: Scalar) => onChange({ ...use, choices: { ...use.choices, [name]: value } });
  return (
    <View className="gap-3 border-b border-rule pb-3">
      <View className="flex-row items-center justify-between">
        <View className="min-w-0 flex-1">
          <Strong>{assembly.name}</Strong>
          <Link href={`/jobs/${jobId}/built` as Href}>
            <Faint>{`version ${assembly.version}`}</Faint>
          </Link>
        </View>
        <Button label="Take off" kind="quiet" icon={Trash2} name={`Take ${assembly.name} off`} onPress={onRemove} />
      </View>
      {problems.map((each) => (
        <Body key={each.path}>{each.message}</Body>
      ))}
      {assembly.parameters.map((parameter) => {
        const now = settled.get(parameter.name);
        return (
          <ParameterField
            key={parameter.name}
            parameter={parameter}
            value={now?.value ?? parameter.default}
            assumed={now?.from !== "part"}
            system={system}
            books={context}
            onChange={(value) => choose(parameter.name, value)}
          />
        );
      })}
    </View>
  );
}
