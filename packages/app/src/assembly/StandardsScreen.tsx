import {
  type Assembly,
  type AssemblyParameter,
  assemblyId,
  type HouseStandard,
  type MeasuringSystem,
  newestAssemblies,
  parameterProblem,
  type Scalar,
} from "@wide-porch/core";
import { book } from "@wide-porch/library/book";
import { useState } from "react";
import { ScrollView, View } from "react-native";
import { ApiProblem, ask } from "../api/client";
import { standardRecordSchema } from "../api/records";
import { seesCosts, useSession } from "../api/session";
import { Button, IconButton } from "../components/Button";
import { Choice } from "../components/Choice";
import { CommitField } from "../components/CommitField";
import { PageBar } from "../components/PageBar";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { TextField } from "../components/TextField";
import { Pending } from "../components/Waiting";
import { Plus, Trash2 } from "../icons";
import { useAssemblies } from "../job/rules";
import { ParameterField } from "./ParameterField";
import { useStandards } from "./standards";

const SYSTEMS = [
  { value: "imperial", label: "Feet and inches" },
  { value: "metric", label: "Metric" },
] as const;

/** The company's ways of building: sets of defaults over its assemblies, changed in one place. */
export function StandardsScreen() {
  const session = useSession().data;
  const list = useStandards();
  const [system, setSystem] = useState<MeasuringSystem>("imperial");
  const [name, setName] = useState("");
  const [started, setStarted] = useState<HouseStandard>();
  if (!session) return null;
  const mayChange = seesCosts(session);
  const records = (list.data?.items ?? []).filter((each) => each.standard.system === system);
  const start = () => {
    const taken = new Set(records.map((each) => each.standard.id));
    const plain = name.trim();
    if (plain === "") return;
    setStarted({
      schemaVersion: 1,
      id: assemblyId(plain, taken),
      version: 1,
      name: plain,
      system,
      parameters: [],
      waste: [],
      productivity: [],
    });
    setName("");
  };
  return (
    <View className="min-h-0 flex-1">
      <PageBar title="House standards" backName="Back to assemblies" backTo="/assemblies" />
      <ScrollView
        role="main"
        className="min-h-0 flex-1"
        contentContainerClassName="mx-auto w-full max-w-3xl gap-6 p-4 pb-10"
      >
        <Body>
          How you build until somebody says otherwise. A job takes a standard, and sees what a newer one changes.
        </Body>
        <Choice label="Measuring system" options={SYSTEMS} value={system} onChange={setSystem} />
        {list.data ? (
          records.map((record) => (
            <StandardForm
              key={`${record.standard.id}@${record.standard.version}`}
              stored={record.standard}
              base={record.standard.version}
              mayChange={mayChange}
            />
          ))
        ) : (
          <Pending error={list.error} what="the standards" retry={() => void list.mutate()} />
        )}
        {started && started.system === system && !records.some((each) => each.standard.id === started.id) ? (
          <StandardForm key={started.id} stored={started} base={0} mayChange={mayChange} />
        ) : null}
        {mayChange ? (
          <View className="gap-2">
            <TextField label="Name of a new standard" value={name} onChangeText={setName} onSubmitEditing={start} />
            <Button label="Start a standard" kind="plain" icon={Plus} disabled={name.trim() === ""} onPress={start} />
          </View>
        ) : null}
      </ScrollView>
    </View>
  );
}

type FormProps = { readonly stored: HouseStandard; readonly base: number; readonly mayChange: boolean };

function StandardForm({ stored, base, mayChange }: FormProps) {
  const list = useStandards();
  const [draft, setDraft] = useState(stored);
  const [failure, setFailure] = useState<string>();
  const changed = draft !== stored || base === 0;
  const save = async () => {
    setFailure(undefined);
    try {
      const body = { baseVersion: base, standard: draft };
      await ask(standardRecordSchema, "PUT", `/standards/${draft.system}/${draft.id}`, body);
      await list.mutate();
    } catch (error) {
      setFailure(failureWords(error));
    }
  };
  return (
    <View role="form" aria-label={draft.name} className="gap-3 rounded-md border border-rule bg-sheet p-3">
      <View className="flex-row items-center justify-between gap-2">
        <Title level={2}>{draft.name}</Title>
        <Faint>{base === 0 ? "not saved yet" : `version ${base}`}</Faint>
      </View>
      <Defaults draft={draft} onChange={setDraft} />
      <Percents
        title="Waste on what is bought"
        words="By the start of the item's code: timber/, sheet/."
        rows={draft.waste.map((each) => ({ key: each.item, percent: each.percent }))}
        most={100}
        onChange={(rows) => setDraft({ ...draft, waste: rows.map(({ key, percent }) => ({ item: key, percent })) })}
      />
      <Percents
        title="Hours in percent of the usual"
        words="By labour task; an empty task is all of them."
        rows={draft.productivity.map((each) => ({ key: each.task, percent: each.percent }))}
        most={1000}
        onChange={(rows) =>
          setDraft({ ...draft, productivity: rows.map(({ key, percent }) => ({ task: key, percent })) })
        }
      />
      {mayChange ? (
        <Button
          label={`Save version ${base + 1}`}
          name={`Save version ${base + 1} of ${draft.name}`}
          disabled={!changed}
          onPress={() => void save()}
        />
      ) : null}
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </View>
  );
}

function failureWords(error: unknown): string {
  if (error instanceof ApiProblem && error.status === 409) {
    return "Somebody saved a newer version meanwhile. Reload the page, and make your changes on that one.";
  }
  return error instanceof Error ? `It could not be saved: ${error.message}` : String(error);
}

type DefaultsProps = { readonly draft: HouseStandard; readonly onChange: (draft: HouseStandard) => void };

function Defaults({ draft, onChange }: DefaultsProps) {
  const items = useAssemblies().data?.items ?? [];
  const assemblies = newestAssemblies(
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
        const wrong = parameter && parameterProblem(parameter, line.value);
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
                sections={book.sections}
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

type Row = { readonly key: string; readonly percent: number };
type PercentsProps = {
  readonly title: string;
  readonly words: string;
  readonly rows: readonly Row[];
  readonly most: number;
  readonly onChange: (rows: Row[]) => void;
};

function Percents({ title, words, rows, most, onChange }: PercentsProps) {
  const text = rows.map(({ key, percent }) => `${key} ${percent}`.trim()).join("\n");
  return (
    <CommitField
      label={`${title}, one on a line. ${words}`}
      name={title}
      multiline
      value={text}
      check={(typed) => {
        const wrong = typed.split("\n").filter((line) => line.trim() !== "" && !readRow(line, most));
        return wrong.length > 0 ? `“${wrong[0]}”: write a code and a percentage up to ${most}.` : undefined;
      }}
      onCommit={(typed) => onChange(typed.split("\n").flatMap((line) => readRow(line, most) ?? []))}
    />
  );
}

/** `sheet/ 10`, or a percentage alone. */
function readRow(line: string, most: number): Row | undefined {
  const match = /^\s*(\S*?)\s*(\d+(?:\.\d+)?)\s*%?\s*$/.exec(line);
  const percent = Number(match?.[2]);
  return match && percent <= most ? { key: match[1] ?? "", percent } : undefined;
}
