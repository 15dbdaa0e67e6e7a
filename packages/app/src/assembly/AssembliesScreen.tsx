import { zodResolver } from "@hookform/resolvers/zod";
import {
  ASSEMBLY_PARTS,
  type Assembly,
  type AssemblyPart,
  assemblyId,
  blankAssembly,
  copyAssembly,
  type FileProblem,
  type MeasuringSystem,
  PART_KINDS,
  plainSet,
  plural,
} from "@wide-porch/core";
import { type Href, Link, useRouter } from "expo-router";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { Pressable, ScrollView, View } from "react-native";
import { z } from "zod";
import type { AssemblyRecord } from "../api/records";
import { seesCosts, useSession } from "../api/session";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { FileButton } from "../components/FileButton";
import { FormEntry } from "../components/FormEntry";
import { PageBar } from "../components/PageBar";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { Pending } from "../components/Waiting";
import { Plus } from "../icons";
import { useAssemblies } from "../job/rules";
import { reckoner } from "../worker/reckoner";
import { partWords } from "./ApplySheet";
import { keepDraft } from "./drafts";
import { useCompanyTables } from "./standards";

const SYSTEMS = [
  { value: "imperial", label: "Feet and inches" },
  { value: "metric", label: "Metric" },
] as const;

const unreadWords = (count: number): string =>
  plural(count, "One of its formulas cannot be read", `${count} of its formulas cannot be read`);
const failingWords = (count: number): string =>
  plural(count, "A worked example does not come out", `${count} worked examples do not come out`);

/** How the company builds: its assemblies, each with what is wrong with it said beside it. */
export function AssembliesScreen() {
  const session = useSession().data;
  const list = useAssemblies();
  const [system, setSystem] = useState<MeasuringSystem>("imperial");
  const [starting, setStarting] = useState(false);
  if (!session) return null;
  const records = (list.data?.items ?? []).filter((each) => each.assembly.system === system);
  const inUse = records.filter((each) => !each.retired);
  const away = records.filter((each) => each.retired);
  return (
    <View className="min-h-0 flex-1">
      <PageBar title="Assemblies" backName="Back to jobs" backTo="/jobs" />
      <ScrollView
        role="main"
        className="min-h-0 flex-1"
        contentContainerClassName="mx-auto w-full max-w-3xl gap-5 p-4 pb-10"
      >
        <Body>How you build, as rules that are counted and checked. Jobs keep the version they were counted with.</Body>
        <Link href={"/standards" as Href}>
          <Strong className="text-pine underline">House standards</Strong>
        </Link>
        <Choice label="Measuring system" options={SYSTEMS} value={system} onChange={setSystem} />
        {list.data ? (
          <>
            <Rows records={inUse} />
            {inUse.length === 0 ? <Body>No assemblies yet. Write one, or bring one in.</Body> : null}
            {away.length > 0 ? (
              <View>
                <Title level={2}>Put away</Title>
                <Rows records={away} />
              </View>
            ) : null}
          </>
        ) : (
          <Pending error={list.error} what="the assemblies" retry={() => void list.mutate()} />
        )}
        {seesCosts(session) ? (
          <View className="gap-2">
            <Button label="Write an assembly" icon={Plus} onPress={() => setStarting(true)} />
            <BringIn taken={records} />
          </View>
        ) : null}
      </ScrollView>
      {starting ? <StartSheet system={system} records={records} onClose={() => setStarting(false)} /> : null}
    </View>
  );
}

function Rows({ records }: { readonly records: readonly AssemblyRecord[] }) {
  return (
    <View role="list">
      {records.map(({ assembly, problems, failingExamples }) => (
        <View key={assembly.id} role="listitem">
          <Link href={`/assemblies/${assembly.system}/${assembly.id}` as Href} asChild>
            <Pressable className="min-h-16 gap-0.5 border-b border-rule py-3 active:bg-pine-wash">
              <Strong>{assembly.name}</Strong>
              <Faint>{`${partWords(assembly.appliesTo)} · ${assembly.rules.length} rules · version ${assembly.version}`}</Faint>
              {problems > 0 ? <Warning>{unreadWords(problems)}</Warning> : null}
              {failingExamples > 0 ? <Warning>{failingWords(failingExamples)}</Warning> : null}
            </Pressable>
          </Link>
        </View>
      ))}
    </View>
  );
}

type StartProps = {
  readonly system: MeasuringSystem;
  readonly records: readonly AssemblyRecord[];
  readonly onClose: () => void;
};

/** Begins a draft on the device; nobody else sees it until it is saved. */
function useBegin() {
  const router = useRouter();
  return (assembly: Assembly) => {
    void keepDraft(assembly, 0).then(() => router.push(`/assemblies/${assembly.system}/${assembly.id}` as Href));
  };
}

const nameSchema = z.object({ name: z.string().trim().min(1, "Give it a name first.").max(80, "At most 80 letters.") });

function StartSheet({ system, records, onClose }: StartProps) {
  const begin = useBegin();
  const { control, handleSubmit } = useForm({ resolver: zodResolver(nameSchema), defaultValues: { name: "" } });
  const [copying, setCopying] = useState(false);
  const taken = new Set(records.map((each) => each.assembly.id));
  const start = (make: (id: string, name: string) => Assembly) =>
    void handleSubmit(({ name }) => {
      onClose();
      begin(make(assemblyId(name, taken), name));
    })();
  const starts = [
    {
      label: "A plain set",
      words: "So many of each thing for every one counted: a door, a window, a post",
      make: (id: string, own: string) => plainSet(id, own, system),
    },
    ...ASSEMBLY_PARTS.map((part) => ({
      label: `Blank, for ${partWords(part).toLowerCase()}`,
      words: `Formulas over ${measuredWords(part)}`,
      make: (id: string, own: string) => blankAssembly(id, own, system, part),
    })),
  ];
  return (
    <Sheet open onClose={onClose} title="Write an assembly">
      <FormEntry control={control} name="name" label="What is it called?" />
      <View>
        {starts.map(({ label, words, make }) => (
          <StartRow key={label} label={label} words={words} onPress={() => start(make)} />
        ))}
        <StartRow
          label="A copy of another"
          words="Its rules as they are, to be changed"
          onPress={() => setCopying(!copying)}
        />
      </View>
      {copying
        ? records.map(({ assembly }) => (
            <StartRow
              key={assembly.id}
              label={`Copy ${assembly.name}`}
              words={partWords(assembly.appliesTo)}
              onPress={() => start((id, own) => copyAssembly(assembly, id, own))}
            />
          ))
        : null}
    </Sheet>
  );
}

/** What is measured of a kind of part, the first few of it. */
const measuredWords = (part: AssemblyPart): string =>
  PART_KINDS[part].quantityNames
    .slice(0, 4)
    .map(({ label }) => label.toLowerCase())
    .join(", ");

function StartRow({ label, words, onPress }: { label: string; words: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      className="min-h-14 justify-center border-b border-rule active:bg-pine-wash"
    >
      <Strong>{label}</Strong>
      <Faint>{words}</Faint>
    </Pressable>
  );
}

/** An assembly from a file: as a draft, with whatever is wrong in it told by line. */
function BringIn({ taken }: { readonly taken: readonly AssemblyRecord[] }) {
  const begin = useBegin();
  const list = useAssemblies();
  // The file says which system it is of; until it is read, tables of either are looked up.
  const [imperial, metric] = [useCompanyTables("imperial"), useCompanyTables("metric")];
  const [problems, setProblems] = useState<readonly FileProblem[]>();
  const choose = async (file: File) => {
    setProblems(undefined);
    const others = [...taken.map((each) => each.assembly), ...(list.data?.bases ?? [])];
    const read = await reckoner().readFile(await file.text(), others, [...imperial, ...metric]);
    if (!read.ok) {
      setProblems(read.problems);
      return;
    }
    const { assembly } = read;
    const ids = new Set(taken.map((each) => each.assembly.id));
    begin({ ...assembly, id: assemblyId(assembly.id, ids), version: 1 });
  };
  return (
    <View className="items-start gap-2">
      <FileButton
        label="Bring in an assembly file"
        name="Assembly file"
        accept="application/json,.json"
        onFile={(file) => void choose(file)}
      />
      {problems ? (
        <View role="alert" className="gap-1">
          <Warning>This file cannot be brought in. Nothing was changed.</Warning>
          {problems.slice(0, 8).map((each) => (
            <Body key={`${each.line}${each.path}${each.message}`}>
              {`Line ${each.line}${each.path ? `, ${each.path}` : ""}: ${each.message}`}
            </Body>
          ))}
        </View>
      ) : null}
    </View>
  );
}
