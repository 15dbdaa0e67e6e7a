import type { Assembly } from "@wide-porch/core";
import useSWR from "swr";
import type { z } from "zod";
import { assemblyListSchema, type FullJob } from "../api/records";
import { askKept } from "../device/kept";
import type { Rules } from "../worker/reckon.worker";

export const ASSEMBLIES = "/assemblies";

export type AssemblyList = z.infer<typeof assemblyListSchema>;

export const useAssemblies = () => useSWR(ASSEMBLIES, () => askKept(assemblyListSchema, ASSEMBLIES, ASSEMBLIES));

/** A version of an assembly, which never changes. */
export const assemblyKey = ({ id, version, system }: Assembly): string => `${system}/${id}@${version}`;

/** What a job is counted by: the versions its parts have, and the company's newest for what is applied next. */
export function rulesOf({ job, assemblies, standard }: FullJob, list: AssemblyList | undefined): Rules {
  const { system } = job.job;
  const newest = (list?.items ?? []).flatMap(({ assembly, retired }) => (retired ? [] : assembly));
  const offered = [...(list?.bases ?? []), ...newest].filter((each) => each.system === system);
  const all = new Map([...offered, ...assemblies].map((assembly) => [assemblyKey(assembly), assembly]));
  return { assemblies: [...all.values()], standard: standard ?? undefined };
}
