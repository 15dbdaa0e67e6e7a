import {
  type Assembly,
  type AssemblyTable,
  assemblyKindOf,
  isStorey,
  kindOf,
  type Part,
  planJob,
  resolveParts,
  resolveStorey,
  type Surroundings,
  surroundingsOf,
} from "@wide-porch/core";
import { useEffect, useMemo, useState } from "react";
import { View } from "react-native";
import useSWR from "swr";
import { fullJobSchema, jobListSchema } from "../../api/records";
import { Choice } from "../../components/Choice";
import { Faint, Title } from "../../components/Text";
import { askKept } from "../../device/kept";
import { jobKey } from "../../sync/outboxInstance";
import type { AssemblyTryout } from "../../worker/reckon.worker";
import { reckoner } from "../../worker/reckoner";

export type Tried = { readonly part: Part; readonly around: Surroundings };

const NONE = "";
/** Which part of which job an assembly is tried on while it is written. */
export function TryOn({
  assembly,
  onChoose,
}: {
  readonly assembly: Assembly;
  readonly onChoose: (on: Tried | undefined) => void;
}) {
  const jobs = useSWR("/jobs?page=1", () => askKept(jobListSchema, "/jobs?page=1&perPage=50", "/jobs?page=1"));
  const offered = (jobs.data?.items ?? []).filter((each) => each.job.system === assembly.system).slice(0, 12);
  const [jobId, setJobId] = useState(NONE);
  const chosenJob = offered.some((each) => each.id === jobId) ? jobId : (offered[0]?.id ?? NONE);
  const full = useSWR(chosenJob ? jobKey(chosenJob) : null, () =>
    askKept(fullJobSchema, `/jobs/${chosenJob}`, jobKey(chosenJob)),
  );
  const [partId, setPartId] = useState(NONE);
  const { parts, plan } = useMemo(() => {
    const all = (full.data?.parts ?? []).map((each) => each.part);
    const ofJob = planJob(all);
    return {
      parts: resolveParts(all, ofJob)
        .filter((part) => assemblyKindOf(part) === assembly.appliesTo)
        .map((part) => (isStorey(part) ? resolveStorey(part, ofJob) : part)),
      plan: ofJob,
    };
  }, [full.data, assembly.appliesTo]);
  const part = parts.find((each) => each.id === partId) ?? parts[0];
  useEffect(() => {
    onChoose(part && { part, around: surroundingsOf(plan, part.id) });
  }, [part, plan, onChoose]);
  if (offered.length === 0) return <Faint>Start a job of this measuring system to try the rules on its parts.</Faint>;
  return (
    <View className="gap-3">
      <Title level={2}>Try it on</Title>
      <Choice
        label="Job"
        value={chosenJob}
        onChange={setJobId}
        options={offered.map((each) => ({ value: each.id, label: each.job.title }))}
      />
      {part ? (
        <Choice
          label="Part"
          value={part.id}
          onChange={setPartId}
          options={parts.slice(0, 12).map((each) => ({ value: each.id, label: each.name }))}
        />
      ) : (
        <Faint>This job has no part of the kind the assembly is for.</Faint>
      )}
    </View>
  );
}

/** The part as if the assembly applied to it alone. */
function applied({ part }: Tried, assembly: Assembly): Part {
  const ref = { id: assembly.id, version: assembly.version };
  const { slot } = kindOf(part);
  if (slot && assembly.slot === slot.id) return slot.fill({ ...part, uses: [], handSet: [] }, ref);
  return { ...part, uses: [{ id: "try", assembly: ref, choices: {} }], handSet: [] };
}

const AFTER_MS = 120;

/** What the assembly comes to, a moment after each change. */
export function useTrial(
  assembly: Assembly | undefined,
  on: Tried | undefined,
  others: readonly Assembly[],
  tables: readonly AssemblyTable[],
): AssemblyTryout | undefined {
  const [trial, setTrial] = useState<AssemblyTryout>();
  useEffect(() => {
    if (!assembly) return;
    let current = true;
    const later = setTimeout(() => {
      void reckoner()
        .tryOut(assembly, on && applied(on, assembly), on?.around, others, tables)
        .then((found) => {
          if (current) setTrial(found);
        });
    }, AFTER_MS);
    return () => {
      current = false;
      clearTimeout(later);
    };
  }, [assembly, on, others, tables]);
  return trial;
}
