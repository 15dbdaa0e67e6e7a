import {
  type Assembly,
  type AssemblyRef,
  assembliesOf,
  findAssembly,
  type HouseStandard,
  newestAssemblies,
  type Part,
  soMany,
  usedAssemblies,
  withAssemblies,
} from "@wide-porch/core";
import { useMemo, useState } from "react";
import { ScrollView, View } from "react-native";
import { seesCosts, useSession } from "../api/session";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";
import { ChangePreview } from "./ChangePreview";
import { useStandards } from "./standards";

/** How the job is built: its house standard, and the versions of the assemblies it is counted with. */
export function BuiltScreen() {
  const { parts, rules, record } = useJob("parts", "rules", "record");
  const { system } = record.job;
  const used = useMemo(() => usedAssemblies(parts), [parts]);
  const newest = useMemo(() => newestAssemblies(system, rules.assemblies), [system, rules.assemblies]);
  return (
    <ScrollView className="min-h-0 flex-1" contentContainerClassName="mx-auto w-full max-w-3xl gap-6 p-4 pb-10">
      <Standard />
      <View className="gap-3">
        <Title level={2}>Assemblies in this job</Title>
        {used.length === 0 ? <Body>Nothing is built by an assembly yet.</Body> : null}
        {used.map((ref) => {
          const now = findAssembly(ref, system, rules);
          const latest = newest.find((each) => each.id === ref.id);
          return <Used key={`${ref.id}@${ref.version}`} used={ref} now={now} latest={latest} />;
        })}
      </View>
    </ScrollView>
  );
}

/** The part with one version of an assembly in place of another. */
function withVersion(part: Part, from: AssemblyRef, version: number): Part {
  return withAssemblies(part, (ref) => (sameRef(ref, from) ? { ...ref, version } : ref));
}

type UsedProps = {
  readonly used: AssemblyRef;
  readonly now: Assembly | undefined;
  readonly latest: Assembly | undefined;
};

function Used({ used, now, latest }: UsedProps) {
  const { parts, rules, record, saveParts } = useJob("parts", "rules", "record", "saveParts");
  const [open, setOpen] = useState(false);
  const having = parts.filter((part) => usesIt(part, used));
  const newer = latest !== undefined && latest.version > used.version ? latest : undefined;
  const changed = useMemo(
    () => (newer ? parts.map((part) => (usesIt(part, used) ? withVersion(part, used, newer.version) : part)) : parts),
    [parts, newer, used],
  );
  const before = useMemo(() => ({ parts, rules }), [parts, rules]);
  const after = useMemo(() => ({ parts: changed, rules }), [changed, rules]);
  return (
    <View className="gap-2 border-b border-rule pb-3">
      <Strong>{now?.name ?? used.id}</Strong>
      <Faint>{`Version ${used.version}, on ${soMany(having.length, "part", "parts")}`}</Faint>
      {now ? null : <Warning>This version is not there: what it counts is left out.</Warning>}
      {newer ? (
        <>
          <Body>{`There is a newer version, ${newer.version}.`}</Body>
          {open ? (
            <>
              <ChangePreview job={record.job} before={before} after={after} />
              <Button
                label={`Take version ${newer.version}`}
                onPress={() => saveParts(changed.filter((part, index) => part !== parts[index]))}
              />
            </>
          ) : (
            <Button
              label="See what it would change"
              kind="plain"
              name={`See what version ${newer.version} of ${newer.name} would change`}
              onPress={() => setOpen(true)}
            />
          )}
        </>
      ) : null}
    </View>
  );
}

const sameRef = (a: AssemblyRef, b: AssemblyRef): boolean => a.id === b.id && a.version === b.version;

const usesIt = (part: Part, ref: AssemblyRef): boolean => assembliesOf(part).some((each) => sameRef(each, ref));

const NONE = "none";

/** The set of defaults a job is counted by; another is looked at before it is taken. */
function Standard() {
  const { record, parts, rules, changeJob } = useJob("record", "parts", "rules", "changeJob");
  const session = useSession().data;
  const standards = useStandards();
  const { standard: ref, system } = record.job;
  const offered = (standards.data?.items ?? [])
    .filter((each) => each.standard.system === system && !each.retired)
    .map((each) => each.standard);
  const now = ref?.id ?? NONE;
  const [looked, setLooked] = useState<string>(now);
  const candidate: HouseStandard | undefined = offered.find((each) => each.id === looked);
  const differs = looked !== now || (candidate !== undefined && candidate.version !== ref?.version);
  const before = useMemo(() => ({ parts, rules }), [parts, rules]);
  const after = useMemo(() => ({ parts, rules: { ...rules, standard: candidate } }), [parts, rules, candidate]);
  const mayChange = session ? seesCosts(session) : false;
  return (
    <View className="gap-3">
      <Title level={2}>House standard</Title>
      <Faint>Defaults for what nobody has confirmed: what a person chose on a part stays.</Faint>
      <Choice
        label="Counted by"
        value={looked}
        onChange={setLooked}
        options={[{ value: NONE, label: "None" }, ...offered.map((each) => ({ value: each.id, label: each.name }))]}
      />
      {ref && looked === now && candidate && candidate.version > ref.version ? (
        <Body>{`There is a newer version of it, ${candidate.version}; this job has ${ref.version}.`}</Body>
      ) : null}
      {differs ? (
        <>
          <ChangePreview job={record.job} before={before} after={after} />
          {mayChange ? (
            <Button
              label={candidate ? `Count by ${candidate.name}` : "Count by no standard"}
              onPress={() =>
                changeJob({ standard: candidate ? { id: candidate.id, version: candidate.version } : null })
              }
            />
          ) : null}
        </>
      ) : null}
    </View>
  );
}
