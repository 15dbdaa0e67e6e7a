import type { Part, PartCount } from "@wide-porch/core";
import { createContext, type PropsWithChildren, useContext, useEffect, useState, useSyncExternalStore } from "react";
import useSWR, { useSWRConfig } from "swr";
import { useStore } from "zustand";
import { useShallow } from "zustand/react/shallow";
import { keptPricesSchema, priceListSchema } from "../api/records";
import { useSession } from "../api/session";
import { askKept } from "../device/kept";
import { deviceStore } from "../device/store";
import { newId } from "../sync/newId";
import type { OutboxView } from "../sync/outbox";
import { jobKey, outbox } from "../sync/outboxInstance";
import { reckoner } from "../worker/reckoner";
import { askJob } from "./askJob";
import type { JobView } from "./jobView";
import { OpenJob } from "./openJob";
import { useAssemblies } from "./rules";

/** How often the job is asked for anew while it is in sight: what others measure turns up by itself. */
const ASK_EVERY_MS = 5000;

const JobContext = createContext<OpenJob | undefined>(undefined);

export function useOpenJob(): OpenJob {
  const job = useContext(JobContext);
  if (!job) throw new Error("useOpenJob: not inside a job");
  return job;
}

export function viewNow(job: OpenJob): JobView {
  const view = job.state.getState();
  if (!view) throw new Error("viewNow: the job is not there yet");
  return view;
}

/** One thing about the open job, drawn anew only when that thing is another. */
export function useJobValue<T>(choose: (job: JobView) => T): T {
  const job = useOpenJob();
  return useStore(job.state, () => choose(viewNow(job)));
}

/** The named fields of the open job and what can be done with it; drawn anew when one of these is another. */
export function useJob<K extends keyof JobView>(...names: readonly K[]): Pick<JobView, K> {
  return useJobValue(useShallow((view: JobView) => pick(view, names)));
}

export function pick<K extends keyof JobView>(view: JobView, names: readonly K[]): Pick<JobView, K> {
  const chosen: Partial<Pick<JobView, K>> = {};
  for (const name of names) chosen[name] = view[name];
  return chosen as Pick<JobView, K>;
}

/** A part as it was entered. */
export const useLivePart = (partId: string): Part | undefined =>
  useJobValue(({ parts }) => parts.find((each) => each.id === partId));

/** What a part was last counted to, ahead of what is ordered and priced from it. */
export const useLatestCount = (partId: string): PartCount | undefined =>
  useJobValue(({ latestCounts }) => latestCounts.get(partId));

export const useOutbox = (): OutboxView => useSyncExternalStore(outbox.subscribe, outbox.read, outbox.read);

export type JobProviderProps = {
  readonly jobId: string;
  readonly fallback: (error: unknown, retry: () => void) => React.ReactNode;
};

/** The job as it stands on this device, and what can be done with it. `fallback` stands in until it is there. */
export function JobProvider({ jobId, children, fallback }: PropsWithChildren<JobProviderProps>) {
  const { cache } = useSWRConfig();
  const owner = useSession().data?.user.id ?? "";
  const key = jobKey(jobId);
  const [job] = useState(
    () =>
      new OpenJob({
        jobId,
        owner,
        outbox,
        store: deviceStore,
        reckoner,
        read: () => cache.get(key)?.data,
        page: newId(),
      }),
  );
  const answer = useSWR(key, () => askJob(jobId, cache.get(key)?.data), { refreshInterval: ASK_EVERY_MS });
  const prices = useSWR("/price-list", () => askKept(priceListSchema, "/price-list", "/price-list"));
  const keptPath = `/jobs/${jobId}/prices`;
  const kept = useSWR(keptPath, () => askKept(keptPricesSchema, keptPath, keptPath));
  const assemblies = useAssemblies();
  const { mutate: askKeptAgain } = kept;
  const inJob = JSON.stringify(answer.data?.job.job.prices);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is kept is another once the list or the job's choice of prices is.
  useEffect(() => void askKeptAgain(), [prices.data, inJob, askKeptAgain]);
  useEffect(() => {
    job.open();
    return () => job.close();
  }, [job]);
  useEffect(() => {
    if (!prices.data || (!kept.data && !kept.error)) return;
    job.setCompany({ prices: prices.data, kept: kept.data, assemblies: assemblies.data });
  }, [job, prices.data, kept.data, kept.error, assemblies.data]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the job reads the answer itself; this says when there is one.
  useEffect(() => job.refresh(), [job, answer.data]);
  const loaded = useStore(job.state, (view) => view !== undefined);
  if (!loaded) {
    const retry = () => {
      void answer.mutate();
      void prices.mutate();
    };
    return <>{fallback(answer.error ?? prices.error, retry)}</>;
  }
  return <JobContext.Provider value={job}>{children}</JobContext.Provider>;
}
