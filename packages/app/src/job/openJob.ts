import { type JobChanges, type Part, type PriceItem, partContext } from "@wide-porch/core";
import { book } from "@wide-porch/library/book";
import { createStore, type StoreApi } from "zustand/vanilla";
import type { FullJob, JobRecord, KeptPrices, PriceRecord } from "../api/records";
import type { DeviceStore } from "../device/store";
import type { Outbox, OutboxView } from "../sync/outbox";
import { withPending } from "../sync/overlay";
import type { DeviceJob, Rules } from "../worker/reckon.worker";
import { commandsFor } from "./commands";
import type { Change, History, Step } from "./history";
import { JobHistory } from "./jobHistory";
import { type JobActions, type JobFields, JobPlanner, type JobView, viewOf } from "./jobView";
import { keptIfEqual, keptParts } from "./keepIdentity";
import { pricesInForce } from "./pricesInForce";
import { Reckonings, type RemoteReckoner } from "./reckonings";
import { type AssemblyList, rulesOf } from "./rules";
import { asOneStep, type Trial, withTrial } from "./trial";

const READINGS_KEPT = 4;

export type OpenJobParts = {
  readonly jobId: string;
  /** Whose undo it is. */
  readonly owner: string;
  readonly outbox: Outbox;
  readonly store: DeviceStore;
  readonly reckoner: () => RemoteReckoner;
  /** The job as the server has it, the moment it is asked for. */
  readonly read: () => FullJob | undefined;
  readonly page: string;
};

/** What the company has beside the job. */
export type Company = {
  readonly prices: { readonly at?: string | undefined; readonly items: readonly PriceRecord[] };
  /** What the job keeps of older prices, as far as it is known here. */
  readonly kept: KeptPrices | undefined;
  readonly assemblies: AssemblyList | undefined;
};

/**
 * The job that is open: what the server has of it, and over it what is on its way, in a store of plain records. A change is
 * reckoned from the instant it is made, beside the drawing of it, and whatever shows a field hears of that field alone.
 */
export class OpenJob {
  /** Nothing until the job, the prices and the rules are all there. */
  readonly state: StoreApi<JobView | undefined> = createStore<JobView | undefined>(() => undefined);
  readonly actions: JobActions;
  private readonly history: JobHistory;
  private readonly reckonings: Reckonings;
  private readonly planner = new JobPlanner();
  private fields: JobFields | undefined;
  private full: FullJob | undefined;
  /** What is tried, over what is there. */
  private trial: Trial | undefined;
  private company: Company | undefined;
  private seen: readonly unknown[] = [];
  private readonly from: { prices: readonly unknown[]; rules: readonly unknown[] } = { prices: [], rules: [] };
  private stopListening = (): void => undefined;

  constructor(private readonly parts: OpenJobParts) {
    this.history = new JobHistory({
      store: parts.store,
      prefix: `undo/${parts.owner}/${parts.jobId}`,
      apply: (step) => this.apply(step),
      onChange: (history) => this.update(this.waysBack(history)),
    });
    this.reckonings = new Reckonings({
      page: parts.page,
      remote: parts.reckoner,
      onCounts: (latestCounts) => this.update({ latestCounts }),
      onReckoning: (reckoning, latestCounts) => this.update({ reckoning, latestCounts, failure: undefined }),
      onFailure: (failure) => this.update({ failure }),
    });
    this.actions = this.actionsOf();
  }

  open(): void {
    this.stopListening = this.parts.outbox.subscribe(this.refresh);
    void this.history.open();
    this.refresh();
  }

  close(): void {
    this.stopListening();
    this.history.close();
    this.reckonings.close();
  }

  setCompany(company: Company): void {
    this.company = company;
    this.refresh();
  }

  /** Takes in what has come since: from the server, or from this device. */
  readonly refresh = (): void => {
    const { company } = this;
    const answer = this.parts.read();
    const { commands, loaded } = this.parts.outbox.read();
    if (!answer || !company || !loaded) return;
    const seen = [answer, commands, company, this.trial];
    if (seen.every((each, index) => each === this.seen[index])) return;
    this.seen = seen;
    this.takeIn(answer, commands, company);
  };

  private takeIn(answer: FullJob, commands: OutboxView["commands"], company: Company): void {
    const standing = withPending(answer, commands);
    const full = this.trial ? withTrial(standing, this.trial, this.parts.outbox) : standing;
    const before = this.fields;
    const parts = keptParts(
      before?.parts ?? [],
      full.parts.map((each) => each.part),
    );
    const record = keptIfEqual(before?.record, full.job);
    const taken = {
      record,
      parts,
      unknownParts: keptIfEqual(before?.unknownParts, full.unknownParts),
      priceList: this.pricesOf(company, keptIfEqual(before?.record.job, record.job), before),
      newestPrices: company.prices,
      rules: this.rulesNow(full, company, before),
      context: before?.context ?? partContext(full.job.job.system, book),
    };
    this.full = full;
    const changed = !before || (["parts", "priceList", "rules"] as const).some((name) => taken[name] !== before[name]);
    const job = keptIfEqual(before?.record.job, taken.record.job);
    // Before anything is drawn of it, so that the worker counts while the page draws.
    if (changed || job !== before?.record.job) this.reckonings.reckon({ ...taken, job });
    if (before) this.update(taken);
    else this.begin(taken);
  }

  /** Made anew only when what they come from is another: they are large, and entries leave them alone. */
  private pricesOf({ prices, kept }: Company, job: DeviceJob, before: JobFields | undefined): readonly PriceItem[] {
    const from = [prices, kept, job.prices];
    if (before && from.every((each, index) => each === this.from.prices[index])) return before.priceList;
    this.from.prices = from;
    return keptIfEqual(before?.priceList, pricesInForce(prices.items, kept, job.prices));
  }

  private rulesNow(full: FullJob, { assemblies }: Company, before: JobFields | undefined): Rules {
    const from = [full.assemblies, full.standard, assemblies, full.job.job.system];
    if (before && from.every((each, index) => each === this.from.rules[index])) return before.rules;
    this.from.rules = from;
    return keptIfEqual(before?.rules, rulesOf(full, assemblies));
  }

  private begin(
    taken: Pick<JobFields, "record" | "parts" | "unknownParts" | "priceList" | "newestPrices" | "rules" | "context">,
  ): void {
    this.set({
      ...taken,
      latestCounts: new Map(),
      reckoning: undefined,
      failure: undefined,
      readings: [],
      ...this.waysBack(this.history.state),
    });
  }

  private update(change: Partial<JobFields>): void {
    if (this.fields) this.set({ ...this.fields, ...change });
  }

  private set(fields: JobFields): void {
    this.fields = fields;
    this.state.setState(viewOf(fields, this.actions, this.planner), true);
  }

  private waysBack({ done, undone }: History): Pick<JobFields, "undo" | "redo" | "trial"> {
    const { trial } = this;
    // Of what is tried the last can be taken back; what was made before waits until the trial is over.
    if (trial) return { trial, undo: trial.steps.length > 0 ? () => this.tryLess() : undefined, redo: undefined };
    return {
      trial,
      undo: done.length > 0 ? this.history.undo : undefined,
      redo: undone.length > 0 ? this.history.redo : undefined,
    };
  }

  private tryMore(step: Step): void {
    if (this.trial) this.setTrial({ ...this.trial, steps: [...this.trial.steps, step] });
  }

  private tryLess(): void {
    if (this.trial) this.setTrial({ ...this.trial, steps: this.trial.steps.slice(0, -1) });
  }

  private setTrial(trial: Trial | undefined): void {
    this.trial = trial;
    this.refresh();
    this.update(this.waysBack(this.history.state));
  }

  private takeTrial(): void {
    const { trial } = this;
    this.setTrial(undefined);
    if (trial && trial.steps.length > 0) this.history.take(asOneStep(trial.steps));
  }

  private apply(step: Step): void {
    if (this.full) this.parts.outbox.add(...commandsFor(step, this.full, this.parts.outbox));
  }

  private partNow(id: string): Part | undefined {
    return this.full?.parts.find((each) => each.id === id)?.part;
  }

  private actionsOf(): JobActions {
    const take = (...changes: readonly Change[]) => {
      if (this.trial) this.tryMore({ changes });
      else this.history.take({ changes });
    };
    const put = (part: Part): Change => ({ kind: "part", id: part.id, before: this.partNow(part.id), after: part });
    const changeJob: JobActions["changeJob"] = (change) => {
      const record = this.full?.job;
      if (!record) return;
      const changes = typeof change === "function" ? change(record.job) : change;
      if (Object.keys(changes).length === 0) return;
      take({ kind: "job", before: sameFields(record, changes), after: changes });
    };
    return {
      jobId: this.parts.jobId,
      page: this.parts.page,
      startTrial: () => this.setTrial({ steps: [], before: this.fields?.reckoning }),
      takeTrial: () => this.takeTrial(),
      dropTrial: () => this.setTrial(undefined),
      savePart: (part) => take(put(part)),
      saveParts: (changed) => take(...changed.map(put)),
      binPart: (id) => take({ kind: "part", id, before: this.partNow(id), after: undefined }),
      changeJob,
      changePart: (id, change) => {
        const part = this.partNow(id);
        const changed = part && change(part);
        if (changed && changed !== part) take(put(changed));
      },
      changeCutting: (change) => changeJob(({ cutting }) => ({ cutting: change(cutting) })),
      noteReading: (typed) => {
        const others = (this.fields?.readings ?? []).filter((each) => each !== typed);
        this.update({ readings: [typed, ...others].slice(0, READINGS_KEPT) });
      },
    };
  }
}

function sameFields(record: JobRecord, changes: JobChanges): JobChanges {
  const { pricing, ...rest } = record.job;
  const now: JobChanges = pricing ? { ...rest, pricing } : rest;
  return Object.fromEntries(Object.keys(changes).map((key) => [key, now[key as keyof JobChanges]]));
}
