import {
  type CuttingSettings,
  type JobPlan,
  type Part,
  type PartContext,
  type PriceItem,
  partContext,
  planJob,
  resolveParts,
  type UnknownPart,
} from "@wide-porch/core";
import { book } from "@wide-porch/library/book";
import {
  createContext,
  memo,
  type PropsWithChildren,
  startTransition,
  useCallback,
  useContext,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from "react";
import useSWR from "swr";
import { type FullJob, fullJobSchema, type JobRecord, priceListSchema } from "../api/records";
import { useSession } from "../api/session";
import { askKept } from "../device/kept";
import type { JobChanges } from "../sync/command";
import type { OutboxView } from "../sync/outbox";
import { jobKey, outbox } from "../sync/outboxInstance";
import { withPending } from "../sync/overlay";
import type { DeviceJob, Rules } from "../worker/reckon.worker";
import { commandsFor } from "./commands";
import type { Change, Step } from "./history";
import { LatestCounts, LatestCountsContext } from "./latestCounts";
import { useHistory } from "./useHistory";
import { useLater } from "./useLater";
import { type ReckoningState, useReckoning } from "./useReckoning";
import { useReckoningInput } from "./useReckoningInput";
import { useStableParts } from "./useStable";

/** What stays the same from change to change. */
export type JobActions = {
  readonly jobId: string;
  readonly context: PartContext;
  readonly rules: Rules;
  readonly savePart: (part: Part) => void;
  /** Several parts at once, as one step of undo. */
  readonly saveParts: (parts: readonly Part[]) => void;
  readonly binPart: (id: string) => void;
  /** By what a function makes of the job as it stands this instant, where the change builds on it. */
  readonly changeJob: (change: JobChanges | ((now: DeviceJob) => JobChanges)) => void;
  /** From a part, or the cutting, as it stands this instant: what is on screen may be a moment old. */
  readonly changePart: (id: string, change: (part: Part) => Part) => void;
  readonly changeCutting: (change: (cutting: CuttingSettings) => CuttingSettings) => void;
  readonly noteReading: (typed: string) => void;
};

export type OpenJob = ReckoningState &
  JobActions & {
    readonly record: JobRecord;
    /** As entered. */
    readonly parts: readonly Part[];
    /** With what the plan knows of them put in. */
    readonly resolved: readonly Part[];
    readonly plan: JobPlan;
    /** Of a kind or version that this program does not know: shown as such, and left alone. */
    readonly unknownParts: readonly UnknownPart[];
    readonly priceList: readonly PriceItem[];
    readonly undo: (() => void) | undefined;
    readonly redo: (() => void) | undefined;
    /** The last entries made, newest first, for the tape pad's chips. */
    readonly readings: readonly string[];
  };

const JobContext = createContext<OpenJob | undefined>(undefined);

export function useJob(): OpenJob {
  const job = useContext(JobContext);
  if (!job) throw new Error("useJob: not inside a job");
  return job;
}

const ActionsContext = createContext<JobActions | undefined>(undefined);

/** For what does not show the job's state: it is not drawn anew at each change. */
export function useJobActions(): JobActions {
  const actions = useContext(ActionsContext);
  if (!actions) throw new Error("useJobActions: not inside a job");
  return actions;
}

const READINGS_KEPT = 4;
/** How often the job is asked for anew while it is in sight: what others measure turns up by itself. */
const ASK_EVERY_MS = 5000;

export const useOutbox = (): OutboxView => useSyncExternalStore(outbox.subscribe, outbox.read, outbox.read);

const askJob = (jobId: string) => askKept(fullJobSchema, `/jobs/${jobId}`, jobKey(jobId));

/** A part this instant, ahead of all that follows from it: what is being typed is shown without waiting for the rest. */
export function useLivePart(partId: string): Part | undefined {
  const { jobId } = useJobActions();
  const { data } = useSWR<FullJob>(jobKey(jobId), null);
  const { commands } = useOutbox();
  const pending = commands.findLast(
    (each) => each.target === partId && (each.kind === "put-part" || each.kind === "bin-part"),
  );
  if (pending) return pending.kind === "put-part" ? pending.part : undefined;
  return data?.parts.find((each) => each.id === partId)?.part;
}

/** The job as it stands on this device, and what can be done with it. `fallback` stands in until it is there. */
export function JobProvider({ jobId, children, fallback }: PropsWithChildren<JobProviderProps>) {
  const answer = useSWR(jobKey(jobId), () => askJob(jobId), { keepPreviousData: true, refreshInterval: ASK_EVERY_MS });
  const prices = useSWR("/price-list", () => askKept(priceListSchema, "/price-list", "/price-list"));
  const { commands, loaded } = useOutbox();
  const full = useMemo(
    () => (answer.data && loaded ? withPending(answer.data, commands) : undefined),
    [answer.data, commands, loaded],
  );
  // An entry is answered on its own screen at once; lists, counts and prices follow as soon as there is time.
  const shown = useLater(full);
  // Counting begins with the entry itself, beside the drawing of it.
  const input = useReckoningInput(full, prices.data);
  const [latestCounts] = useState(() => new LatestCounts());
  const reckoned = useReckoning(input, latestCounts);
  const latest = useRef(full);
  latest.current = full;
  if (!shown || !full || !input) {
    const retry = () => {
      void answer.mutate();
      void prices.mutate();
    };
    return <>{fallback(answer.error ?? prices.error, retry)}</>;
  }
  return (
    <LatestCountsContext.Provider value={latestCounts}>
      <LoadedJob full={shown} latest={latest} rules={input.rules} priceList={input.priceList} reckoned={reckoned}>
        {children}
      </LoadedJob>
    </LatestCountsContext.Provider>
  );
}

export type JobProviderProps = {
  readonly jobId: string;
  readonly fallback: (error: unknown, retry: () => void) => React.ReactNode;
};

type LoadedProps = PropsWithChildren<{
  readonly full: FullJob;
  readonly latest: { readonly current: FullJob | undefined };
  readonly rules: Rules;
  readonly priceList: readonly PriceItem[];
  readonly reckoned: ReckoningState;
}>;

const LoadedJob = memo(function LoadedJob(props: LoadedProps) {
  const { full, latest, rules, priceList, reckoned, children } = props;
  const [readings, setReadings] = useState<readonly string[]>([]);
  const { job: jobRecord } = full;
  const { id: jobId } = jobRecord;
  const owner = useSession().data?.user.id ?? "";
  const parts = useStableParts(full);
  const plan = useMemo(() => planJob(parts), [parts]);
  const resolved = useMemo(() => resolveParts(parts, plan), [parts, plan]);
  const context = useMemo(() => partContext(jobRecord.job.system, book), [jobRecord.job.system]);

  const apply = useCallback(
    (step: Step) => {
      if (latest.current) outbox.add(...commandsFor(step, latest.current));
    },
    [latest],
  );
  const history = useHistory(owner, jobId, apply);
  const { take } = history;

  // The job as it was when first shown stands in until the latest is known.
  const first = useRef(full);
  const actions = useMemo(() => {
    const now = () => latest.current ?? first.current;
    const partNow = (id: string) => now().parts.find((each) => each.id === id)?.part;
    const put = (part: Part): Change => ({ kind: "part", id: part.id, before: partNow(part.id), after: part });
    const changeJob: JobActions["changeJob"] = (change) => {
      const { job } = now();
      const changes = typeof change === "function" ? change(job.job) : change;
      if (Object.keys(changes).length === 0) return;
      take({ changes: [{ kind: "job", before: sameFields(job, changes), after: changes }] });
    };
    return {
      jobId,
      context,
      rules,
      savePart: (part: Part) => take({ changes: [put(part)] }),
      saveParts: (changed: readonly Part[]) => take({ changes: changed.map(put) }),
      binPart: (id: string) => take({ changes: [{ kind: "part", id, before: partNow(id), after: undefined }] }),
      changeJob,
      changePart: (id: string, change: (part: Part) => Part) => {
        const part = partNow(id);
        const changed = part && change(part);
        if (changed && changed !== part) take({ changes: [put(changed)] });
      },
      changeCutting: (change: (cutting: CuttingSettings) => CuttingSettings) =>
        changeJob(({ cutting }) => ({ cutting: change(cutting) })),
      noteReading: (typed: string) =>
        startTransition(() =>
          setReadings((current) => [typed, ...current.filter((each) => each !== typed)].slice(0, READINGS_KEPT)),
        ),
    };
  }, [take, context, rules, jobId, latest]);

  const value: OpenJob = {
    ...reckoned,
    ...actions,
    record: jobRecord,
    parts,
    resolved,
    plan,
    unknownParts: full.unknownParts,
    priceList,
    undo: history.undo,
    redo: history.redo,
    readings,
  };
  return (
    <ActionsContext.Provider value={actions}>
      <JobContext.Provider value={value}>{children}</JobContext.Provider>
    </ActionsContext.Provider>
  );
});

function sameFields(record: JobRecord, changes: JobChanges): JobChanges {
  const { pricing, ...rest } = record.job;
  const now: JobChanges = pricing ? { ...rest, pricing } : rest;
  return Object.fromEntries(Object.keys(changes).map((key) => [key, now[key as keyof JobChanges]]));
}
