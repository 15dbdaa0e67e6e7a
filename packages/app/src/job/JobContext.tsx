import { type Part, type PartContext, type PriceItem, partContext } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import equal from "fast-deep-equal";
import {
  createContext,
  type PropsWithChildren,
  useCallback,
  useContext,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from "react";
import useSWR from "swr";
import { ask } from "../api/client";
import { type FullJob, fullJobSchema, type JobRecord, priceListSchema } from "../api/records";
import type { Command, JobChanges } from "../sync/command";
import { newId } from "../sync/newId";
import type { OutboxView } from "../sync/outbox";
import { jobKey, outbox } from "../sync/outboxInstance";
import { withPending } from "../sync/overlay";
import { emptyHistory, type History, record, redo, type Step, undo } from "./history";
import { type ReckoningState, useReckoning } from "./useReckoning";

/** What stays the same from change to change. */
export type JobActions = {
  readonly context: PartContext;
  readonly savePart: (part: Part) => void;
  readonly binPart: (id: string) => void;
  readonly changeJob: (changes: JobChanges) => void;
  readonly noteReading: (typed: string) => void;
};

export type OpenJob = ReckoningState &
  JobActions & {
    readonly record: JobRecord;
    readonly parts: readonly Part[];
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

export const useOutbox = (): OutboxView => useSyncExternalStore(outbox.subscribe, outbox.read, outbox.read);

/** The job as it stands on this device, and what can be done with it. `fallback` stands in until it is there. */
export function JobProvider({ jobId, children, fallback }: PropsWithChildren<JobProviderProps>) {
  const answer = useSWR(jobKey(jobId), () => ask(fullJobSchema, "GET", `/jobs/${jobId}`), { keepPreviousData: true });
  const prices = useSWR("/price-list", () => ask(priceListSchema, "GET", "/price-list"));
  const { commands, loaded } = useOutbox();
  const full = useMemo(
    () => (answer.data && loaded ? withPending(answer.data, commands) : undefined),
    [answer.data, commands, loaded],
  );
  if (!full || !prices.data) {
    const retry = () => {
      void answer.mutate();
      void prices.mutate();
    };
    return <>{fallback(answer.error ?? prices.error, retry)}</>;
  }
  return (
    <LoadedJob full={full} priceList={prices.data}>
      {children}
    </LoadedJob>
  );
}

export type JobProviderProps = {
  readonly jobId: string;
  readonly fallback: (error: unknown, retry: () => void) => React.ReactNode;
};

/** The earlier object while its content is the same: the server's answer to a change brings nothing new to reckon. */
function useStable<T>(value: T): T {
  const kept = useRef(value);
  if (!equal(kept.current, value)) kept.current = value;
  return kept.current;
}

type LoadedProps = { readonly full: FullJob; readonly priceList: { items: { item: PriceItem }[] } };

function LoadedJob({ full, priceList, children }: PropsWithChildren<LoadedProps>) {
  const [history, setHistory] = useState<History>(emptyHistory);
  const [readings, setReadings] = useState<readonly string[]>([]);
  const { job: jobRecord } = full;
  const parts = useStable(useMemo(() => full.parts.map((each) => each.part), [full.parts]));
  const job = useStable(jobRecord.job);
  const input = useMemo(
    () => ({ job, parts, priceList: priceList.items.map((each) => each.item) }),
    [job, parts, priceList],
  );
  const reckoned = useReckoning(input);
  const context = useMemo(() => partContext(jobRecord.job.system, library), [jobRecord.job.system]);
  // Callbacks read the latest job through a ref, so that they stay the same from change to change.
  const latest = useRef(full);
  latest.current = full;

  const apply = useCallback((step: Step) => outbox.add(commandFor(step, latest.current)), []);

  const take = useCallback(
    (step: Step) => {
      apply(step);
      setHistory((current) => record(current, step));
    },
    [apply],
  );

  const actions = useMemo(() => {
    const partNow = (id: string) => latest.current.parts.find((each) => each.id === id)?.part;
    return {
      context,
      savePart: (part: Part) => take({ kind: "part", id: part.id, before: partNow(part.id), after: part }),
      binPart: (id: string) => take({ kind: "part", id, before: partNow(id), after: undefined }),
      changeJob: (changes: JobChanges) =>
        take({ kind: "job", before: sameFields(latest.current.job, changes), after: changes }),
      noteReading: (typed: string) =>
        setReadings((current) => [typed, ...current.filter((each) => each !== typed)].slice(0, READINGS_KEPT)),
    };
  }, [take, context]);

  const move = (result: { step: Step; history: History } | undefined) =>
    result &&
    (() => {
      apply(result.step);
      setHistory(result.history);
    });

  const value: OpenJob = {
    ...reckoned,
    ...actions,
    record: jobRecord,
    parts,
    undo: move(undo(history)),
    redo: move(redo(history)),
    readings,
  };
  return (
    <ActionsContext.Provider value={actions}>
      <JobContext.Provider value={value}>{children}</JobContext.Provider>
    </ActionsContext.Provider>
  );
}

function sameFields(record: JobRecord, changes: JobChanges): JobChanges {
  const { pricing, ...rest } = record.job;
  const now: JobChanges = pricing ? { ...rest, pricing } : rest;
  return Object.fromEntries(Object.keys(changes).map((key) => [key, now[key as keyof JobChanges]]));
}

function commandFor(step: Step, full: FullJob): Command {
  const jobId = full.job.id;
  if (step.kind === "job") {
    const { revision } = full.job;
    return {
      kind: "patch-job",
      commandId: newId(),
      jobId,
      target: jobId,
      baseRevision: revision,
      changes: step.after,
    };
  }
  const known = full.parts.find((each) => each.id === step.id);
  const shared = {
    commandId: newId(),
    jobId,
    target: step.id,
    baseRevision: known?.revision ?? outbox.lastRevision(step.id),
  };
  return step.after ? { ...shared, kind: "put-part", part: step.after } : { ...shared, kind: "bin-part" };
}
