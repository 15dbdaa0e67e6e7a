import {
  type Assembly,
  type AssemblyParameter,
  type AssemblyRule,
  type AssemblyTable,
  assembledFrom,
  knownNames,
  languageOf,
  withTables,
  writeAssemblyFile,
} from "@wide-porch/core";
import { useLocalSearchParams } from "expo-router";
import { useCallback, useMemo, useState } from "react";
import { ScrollView, View } from "react-native";
import { askOnce } from "../../api/askOnce";
import { ApiProblem, ask } from "../../api/client";
import { assemblyRecordSchema } from "../../api/records";
import { seesCosts, useSession } from "../../api/session";
import { Button, IconButton } from "../../components/Button";
import { PageBar } from "../../components/PageBar";
import { Body, Faint, Strong, Title, Warning } from "../../components/Text";
import { TextField } from "../../components/TextField";
import { Pending } from "../../components/Waiting";
import { fileName, saveFile } from "../../export/saveFile";
import { FileOutput, Plus, Undo2 } from "../../icons";
import { useAssemblies } from "../../job/rules";
import { useWide } from "../../theme/useWide";
import { partWords } from "../ApplySheet";
import { type Draft, useDraft } from "../drafts";
import { useCompanyTables } from "../standards";
import { Tables } from "../Tables";
import { BuildsOn } from "./BuildsOn";
import { Examples } from "./Examples";
import { ParameterRow } from "./ParameterRow";
import { RuleRow } from "./RuleRow";
import { type Tried, TryOn, useTrial } from "./TryOn";
import { Wording } from "./Wording";

/** An assembly as it is written: rows to read, live results on a wall of a job, and its examples worked at every change. */
export function EditorScreen() {
  const { system = "", id = "" } = useLocalSearchParams<{ system: string; id: string }>();
  const session = useSession().data;
  const list = useAssemblies();
  const stored = list.data?.items.find((each) => each.assembly.system === system && each.assembly.id === id);
  const draft = useDraft(system, id, stored?.assembly, list.data !== undefined);
  if (!session) return null;
  return (
    <View className="min-h-0 flex-1">
      <PageBar title={draft?.assembly.name ?? "Assembly"} backName="Back to assemblies" backTo="/assemblies">
        <IconButton name="Undo" icon={Undo2} disabled={!draft?.undo} onPress={() => draft?.undo?.()} />
      </PageBar>
      {draft ? (
        <Editor draft={draft} mayChange={seesCosts(session)} retired={stored?.retired ?? false} />
      ) : (
        <View role="main" className="p-6">
          {list.data && !stored ? (
            <Body>There is no assembly here.</Body>
          ) : (
            <Pending error={list.error} what="the assembly" retry={() => void list.mutate()} />
          )}
        </View>
      )}
    </View>
  );
}

type EditorProps = { readonly draft: Draft; readonly mayChange: boolean; readonly retired: boolean };

function Editor({ draft, mayChange, retired }: EditorProps) {
  const wide = useWide();
  const { assembly } = draft;
  const [on, setOn] = useState<Tried>();
  const list = useAssemblies().data;
  const others = useMemo(
    () =>
      [...(list?.items ?? []).map((each) => each.assembly), ...(list?.bases ?? [])].filter(
        (each) => each.system === assembly.system,
      ),
    [list, assembly.system],
  );
  const tables = useCompanyTables(assembly.system);
  const trial = useTrial(assembly, on, others, tables);
  const tryOn = useCallback((next: Tried | undefined) => setOn(next), []);
  const side = (
    <>
      <TryOn assembly={assembly} onChoose={tryOn} />
      <Examples
        assembly={assembly}
        results={trial?.examples ?? []}
        onChange={(examples) => draft.change({ ...assembly, examples })}
      />
    </>
  );
  const other = (trial?.problems ?? []).filter((each) => !/^(rules|parameters)\./.test(each.path));
  return (
    <View className="min-h-0 flex-1">
      {mayChange ? (
        <SaveBar draft={draft} problems={trial?.problems.length ?? 0} />
      ) : (
        <Faint>Crew read the assemblies; they are changed by those who see costs.</Faint>
      )}
      <View className={`min-h-0 flex-1 ${wide ? "flex-row" : ""}`}>
        <ScrollView
          role="main"
          className="min-h-0 flex-1"
          contentContainerClassName="mx-auto w-full max-w-3xl gap-6 p-4 pb-24"
        >
          <About assembly={assembly} onChange={draft.change} />
          {other.map((each) => (
            <Warning key={each.path + each.code}>{each.message}</Warning>
          ))}
          {wide ? null : side}
          <BuildsOn assembly={assembly} others={others} onChange={draft.change} />
          <Parameters draft={draft} trialProblems={trial?.problems ?? []} />
          <Rules draft={draft} trial={trial} tried={on !== undefined} others={others} tables={tables} />
          <Tables
            title="Tables"
            words="The first row whose limit is not less is the one. A table of the house standard stands in place of one here."
            tables={assembly.tables}
            system={assembly.system}
            onChange={(tables) => draft.change({ ...assembly, tables })}
          />
          <Wording assembly={assembly} onChange={draft.change} />
          <FileAndAway assembly={assembly} retired={retired} mayChange={mayChange} stored={draft.base > 0} />
        </ScrollView>
        {wide ? (
          <ScrollView
            role="complementary"
            aria-label="Trial"
            className="min-h-0 w-[420px] flex-none border-l border-rule"
            contentContainerClassName="gap-6 p-4"
          >
            {side}
          </ScrollView>
        ) : null}
      </View>
    </View>
  );
}

function SaveBar({ draft, problems }: { readonly draft: Draft; readonly problems: number }) {
  const list = useAssemblies();
  const [failure, setFailure] = useState<string>();
  const [busy, setBusy] = useState(false);
  const { assembly, base, changed } = draft;
  const save = async () => {
    setBusy(true);
    setFailure(undefined);
    try {
      const path = `/assemblies/${assembly.system}/${assembly.id}`;
      const saved = await askOnce(assemblyRecordSchema, "PUT", path, { baseVersion: base, assembly });
      await list.mutate();
      draft.settle(saved.assembly);
    } catch (error) {
      setFailure(failureWords(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <View className="gap-1 border-b border-rule bg-sheet px-4 py-2">
      <View className="flex-row items-center justify-between gap-3">
        <Faint role="status" className="flex-1">
          {changed
            ? `Changed on this device${problems > 0 ? `, ${problems} to put right` : ""}`
            : `Version ${base}, saved`}
        </Faint>
        {changed && base > 0 ? (
          <Button label="Let go" kind="quiet" name="Let the changes go" onPress={() => draft.settle(undefined)} />
        ) : null}
        <Button label={`Save version ${base + 1}`} disabled={!changed || busy} onPress={() => void save()} />
      </View>
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </View>
  );
}

function failureWords(error: unknown): string {
  if (!(error instanceof ApiProblem))
    return "There was no answer. What you wrote stays on this device; save it again later.";
  if (error.status === 409) {
    return "Somebody saved a newer version meanwhile. Take your changes along as a file, let them go, and put them into the newer one.";
  }
  const [first] = error.problems;
  return first ? `It cannot be saved yet: ${first.path.replace(/^assembly\./, "")}: ${first.message}` : error.message;
}

type ChangeProps = { readonly assembly: Assembly; readonly onChange: (assembly: Assembly) => void };

function About({ assembly, onChange }: ChangeProps) {
  return (
    <View className="gap-3">
      <TextField label="Name" value={assembly.name} onChangeText={(name) => onChange({ ...assembly, name })} />
      <TextField label="What it is" value={assembly.about} onChangeText={(about) => onChange({ ...assembly, about })} />
      <Faint>
        {`For ${partWords(assembly.appliesTo).toLowerCase()}, ${assembly.system === "imperial" ? "feet and inches" : "metric"}. ${assembly.slot ? "It lays out what it is for." : ""}`}
      </Faint>
    </View>
  );
}

type Problems = NonNullable<ReturnType<typeof useTrial>>["problems"];
const under = (problems: Problems, path: string) => problems.filter((each) => each.path.startsWith(`${path}.`));

function Parameters({ draft, trialProblems }: { readonly draft: Draft; readonly trialProblems: Problems }) {
  const { assembly, change } = draft;
  const { parameters, system } = assembly;
  const put = (next: AssemblyParameter[]) => change({ ...assembly, parameters: next });
  const fresh = (): AssemblyParameter => ({
    name: `value${parameters.length + 1}`,
    label: "",
    kind: "number",
    default: 1,
  });
  return (
    <View className="gap-2">
      <Title level={2}>Parameters</Title>
      <View role="list">
        {parameters.map((parameter, index) => (
          <ParameterRow
            // biome-ignore lint/suspicious/noArrayIndexKey: names are being typed; rows are added at the end or taken out
            key={index}
            parameter={parameter}
            index={index}
            problems={under(trialProblems, `parameters.${index}`)}
            system={system}
            onChange={(changed) => put(parameters.map((each, at) => (at === index ? changed : each)))}
            onRemove={() => put(parameters.filter((_, at) => at !== index))}
          />
        ))}
      </View>
      <Button label="Add a parameter" kind="plain" icon={Plus} onPress={() => put([...parameters, fresh()])} />
    </View>
  );
}

type RulesProps = {
  readonly draft: Draft;
  readonly trial: ReturnType<typeof useTrial>;
  readonly tried: boolean;
  readonly others: readonly Assembly[];
  readonly tables: readonly AssemblyTable[];
};

function Rules({ draft, trial, tried, others, tables }: RulesProps) {
  const { assembly, change } = draft;
  const { rules, system } = assembly;
  const whole = withTables(assembledFrom(assembly, others).assembly, tables);
  const names = knownNames(whole);
  const language = languageOf(whole);
  const put = (next: AssemblyRule[]) => change({ ...assembly, rules: next });
  const fresh = (): AssemblyRule => ({
    name: `rule${rules.length + 1}`,
    label: "",
    trade: rules[rules.length - 1]?.trade ?? "Framing",
    phase: rules[rules.length - 1]?.phase ?? "",
    formula: "1",
    unit: "piece",
    item: "",
    buying: "whole",
    sentence: "So many.",
  });
  return (
    <View className="gap-2">
      <Title level={2}>Rules</Title>
      {tried ? null : <Strong className="text-faint">Choose a part to see what each rule comes to.</Strong>}
      <View role="list">
        {rules.map((rule, index) => (
          <RuleRow
            // biome-ignore lint/suspicious/noArrayIndexKey: names are being typed; rows are added at the end or taken out
            key={index}
            rule={rule}
            index={index}
            names={names}
            language={language}
            problems={under(trial?.problems ?? [], `rules.${index}`)}
            lines={tried ? trial?.lines.filter((line) => line.rule === rule.name) : undefined}
            system={system}
            onChange={(changed) => put(rules.map((each, at) => (at === index ? changed : each)))}
            onRemove={() => put(rules.filter((_, at) => at !== index))}
          />
        ))}
      </View>
      <Button label="Add a rule" kind="plain" icon={Plus} onPress={() => put([...rules, fresh()])} />
    </View>
  );
}

type AwayProps = {
  readonly assembly: Assembly;
  readonly retired: boolean;
  readonly mayChange: boolean;
  readonly stored: boolean;
};

function FileAndAway({ assembly, retired, mayChange, stored }: AwayProps) {
  const list = useAssemblies();
  const [failure, setFailure] = useState<string>();
  const put = async () => {
    setFailure(undefined);
    try {
      await ask(assemblyRecordSchema, "PATCH", `/assemblies/${assembly.system}/${assembly.id}`, { retired: !retired });
      await list.mutate();
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
  };
  const save = () =>
    saveFile(new Blob([writeAssemblyFile(assembly)], { type: "application/json" }), fileName(assembly.name, "json"));
  return (
    <View className="gap-2">
      <Button label="Save as a file" kind="plain" icon={FileOutput} onPress={save} />
      {mayChange && stored ? (
        <Button label={retired ? "Take it out again" : "Put it away"} kind="quiet" onPress={() => void put()} />
      ) : null}
      {retired ? <Faint>Put away: no new work takes it, and jobs that have it keep it.</Faint> : null}
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </View>
  );
}
