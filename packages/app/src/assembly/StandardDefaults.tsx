import {
  type Assembly,
  type AssemblyParameter,
  type HouseStandard,
  newestAssembled,
  parameterProblem,
  type Scalar,
} from "@wide-porch/core";
import { book } from "@wide-porch/library/book";
import { useState } from "react";
import { View } from "react-native";
import { Button, IconButton } from "../components/Button";
import { Choice } from "../components/Choice";
import { Faint, Strong, Warning } from "../components/Text";
import { Plus, Trash2 } from "../icons";
import { useAssemblies } from "../job/rules";
import { ParameterField } from "./ParameterField";

type DefaultsProps = { readonly draft: HouseStandard; readonly onChange: (draft: HouseStandard) => void };

/** The values a standard sets, each for one assembly or for every one that has the parameter. */
export function StandardDefaults({ draft, onChange }: DefaultsProps) {
  const items = useAssemblies().data?.items ?? [];
  const assemblies = newestAssembled(
    draft.system,
    items.filter((each) => !each.retired).map((each) => each.assembly),
  );
  const [adding, setAdding] = useState(false);
  const parameterOf = (assemblyId: string, name: string): AssemblyParameter | undefined =>
    (assemblyId === "" ? assemblies : assemblies.filter((each) => each.id === assemblyId))
      .flatMap((each) => each.parameters)
      .find((each) => each.name === name);
  const put = (parameters: HouseStandard["parameters"]) => onChange({ ...draft, parameters });
  const setValue = (index: number, value: Scalar) =>
    put(draft.parameters.map((each, at) => (at === index ? { ...each, value } : each)));
  return (
    <View className="gap-2">
      <Strong>Defaults</Strong>
      {draft.parameters.map((line, index) => {
        const parameter = parameterOf(line.assemblyId, line.name);
        const of = assemblies.find((each) => each.id === line.assemblyId)?.name ?? "Every assembly";
        const wrong = parameter && parameterProblem(parameter, line.value, draft.system, book);
        return (
          <View key={`${line.assemblyId}/${line.name}`} className="gap-1 border-b border-rule pb-2">
            <View className="flex-row items-center justify-between">
              <Faint className="flex-1">{of}</Faint>
              <IconButton
                name={`Take out ${parameter?.label ?? line.name}, ${of}`}
                icon={Trash2}
                onPress={() => put(draft.parameters.filter((_, at) => at !== index))}
              />
            </View>
            {parameter ? (
              <ParameterField
                parameter={parameter}
                value={line.value}
                assumed={false}
                system={draft.system}
                books={book}
                onChange={(value) => setValue(index, value)}
              />
            ) : (
              <Warning>{`No assembly has “${line.name}” any more.`}</Warning>
            )}
            {wrong ? <Warning>{wrong}</Warning> : null}
          </View>
        );
      })}
      {adding ? (
        <NewDefault
          assemblies={assemblies}
          taken={draft.parameters}
          onAdd={(line) => {
            put([...draft.parameters, line]);
            setAdding(false);
          }}
        />
      ) : (
        <Button
          label="Add a default"
          kind="quiet"
          icon={Plus}
          name={`Add a default to ${draft.name}`}
          onPress={() => setAdding(true)}
        />
      )}
    </View>
  );
}

type NewDefaultProps = {
  readonly assemblies: readonly Assembly[];
  readonly taken: HouseStandard["parameters"];
  readonly onAdd: (line: HouseStandard["parameters"][number]) => void;
};

const EVERY = "";

function NewDefault({ assemblies, taken, onAdd }: NewDefaultProps) {
  const [assemblyId, setAssemblyId] = useState(EVERY);
  const from = assemblyId === EVERY ? assemblies : assemblies.filter((each) => each.id === assemblyId);
  const offered = new Map(from.flatMap((each) => each.parameters).map((each) => [each.name, each]));
  for (const line of taken) if (line.assemblyId === assemblyId) offered.delete(line.name);
  return (
    <View className="gap-2">
      <Choice
        label="Of which assembly"
        value={assemblyId}
        onChange={setAssemblyId}
        options={[
          { value: EVERY, label: "Every one" },
          ...assemblies.map((each) => ({ value: each.id, label: each.name })),
        ]}
      />
      <View className="flex-row flex-wrap gap-2">
        {[...offered.values()].map((parameter) => (
          <Button
            key={parameter.name}
            label={parameter.label}
            kind="plain"
            name={`Default for ${parameter.label}`}
            onPress={() => onAdd({ assemblyId, name: parameter.name, value: parameter.default })}
          />
        ))}
      </View>
    </View>
  );
}
