import type { Assembly } from "@wide-porch/core";
import { useMemo } from "react";
import useSWR from "swr";
import { assemblyListSchema, type FullJob } from "../api/records";
import { askKept } from "../device/kept";
import type { Rules } from "../worker/reckon.worker";

export const ASSEMBLIES = "/assemblies";

export const useAssemblies = () => useSWR(ASSEMBLIES, () => askKept(assemblyListSchema, ASSEMBLIES, ASSEMBLIES));

const keyOf = ({ id, version, system }: Assembly): string => `${system}/${id}@${version}`;

/** What a job is counted by: the versions its parts have, and the company's newest for what is applied next. */
export function useRules(full: FullJob | undefined): Rules | undefined {
  const list = useAssemblies().data;
  const system = full?.job.job.system;
  // By what they say, not by the answer, which comes anew every few seconds.
  const used = useMemo(() => JSON.stringify(full?.assemblies ?? []), [full?.assemblies]);
  const house = useMemo(() => JSON.stringify(full?.standard ?? null), [full?.standard]);
  return useMemo(() => {
    if (system === undefined) return undefined;
    const all = new Map<string, Assembly>();
    const pinned: Assembly[] = JSON.parse(used);
    for (const assembly of list?.bases ?? []) if (assembly.system === system) all.set(keyOf(assembly), assembly);
    for (const { assembly, retired } of list?.items ?? []) {
      if (assembly.system === system && !retired) all.set(keyOf(assembly), assembly);
    }
    for (const assembly of pinned) all.set(keyOf(assembly), assembly);
    return { assemblies: [...all.values()], standard: JSON.parse(house) ?? undefined };
  }, [used, house, list, system]);
}
