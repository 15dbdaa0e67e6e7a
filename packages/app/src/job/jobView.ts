import type {
  CuttingSettings,
  JobChanges,
  JobPlan,
  Part,
  PartContext,
  PartCount,
  PriceItem,
  UnknownPart,
} from "@wide-porch/core";
import { Planner, resolveParts } from "@wide-porch/core";
import type { JobRecord, PriceRecord } from "../api/records";
import type { DeviceJob, DeviceReckoning, Rules } from "../worker/reckon.worker";
import type { Trial } from "./trial";

/** The open job, as this device has it now. Each field is the same object until its content is another. */
export type JobFields = {
  readonly record: JobRecord;
  /** As entered. */
  readonly parts: readonly Part[];
  /** Of a kind or version that this program does not know: shown as such, and left alone. */
  readonly unknownParts: readonly UnknownPart[];
  /** What the job is reckoned with. */
  readonly priceList: readonly PriceItem[];
  /** The company's list as it is now. */
  readonly newestPrices: { readonly at?: string | undefined; readonly items: readonly PriceRecord[] };
  readonly rules: Rules;
  readonly context: PartContext;
  /** The counts of the last entry, ahead of what is ordered and priced from them, by part. */
  readonly latestCounts: ReadonlyMap<string, PartCount>;
  /** Of the last entry that was reckoned to the end. */
  readonly reckoning: DeviceReckoning | undefined;
  /** Why the last reckoning came to nothing. */
  readonly failure: string | undefined;
  /** What is tried and not made; nothing while nobody tries anything. */
  readonly trial: Trial | undefined;
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
  /** The last entries made, newest first, for the tape pad's chips. */
  readonly readings: readonly string[];
};

/** What can be done with the open job. */
export type JobActions = {
  readonly jobId: string;
  /** Its name in the worker. */
  readonly page: string;
  /** From here on changes are tried: nothing leaves this screen until they are taken, as one step of undo, or dropped. */
  readonly startTrial: () => void;
  readonly takeTrial: () => void;
  readonly dropTrial: () => void;
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

type Planned = {
  readonly plan: JobPlan;
  /** The parts with what the plan knows of them put in. */
  readonly resolved: readonly Part[];
};

export type JobView = JobFields & JobActions & Planned;

/** Plans the open job: worked out once for the parts as they are, and by whoever first asks. A screen without a plan does not wait for it. */
export class JobPlanner {
  private readonly planner = new Planner();
  private parts: readonly Part[] | undefined;
  private planned: Planned | undefined;

  of(parts: readonly Part[]): Planned {
    if (this.planned && this.parts === parts) return this.planned;
    const plan = this.planner.plan(parts);
    this.parts = parts;
    this.planned = { plan, resolved: resolveParts(parts, plan) };
    return this.planned;
  }
}

export const viewOf = (fields: JobFields, actions: JobActions, planner: JobPlanner): JobView => ({
  ...fields,
  ...actions,
  get plan() {
    return planner.of(fields.parts).plan;
  },
  get resolved() {
    return planner.of(fields.parts).resolved;
  },
});
