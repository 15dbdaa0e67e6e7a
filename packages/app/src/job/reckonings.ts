import type { Part, PartCount, PriceItem } from "@wide-porch/core";
import type { DeviceJob, DeviceReckoning, Reckoner, Rules } from "../worker/reckon.worker";
import { namedIfSent, withUnchanged } from "../worker/sent";

export type ReckoningInput = {
  readonly job: DeviceJob;
  readonly parts: readonly Part[];
  readonly priceList: readonly PriceItem[];
  readonly rules: Rules;
};

/** The worker's face, as it is called from the page. */
export type RemoteReckoner = {
  readonly [K in "learn" | "count" | "price" | "forget"]: (
    ...args: Parameters<Reckoner[K]>
  ) => Promise<Awaited<ReturnType<Reckoner[K]>>>;
};

export type ReckoningParts = {
  /** The page's own name, by which the worker knows what it has been told. */
  readonly page: string;
  readonly remote: () => RemoteReckoner;
  /** By part. */
  readonly onCounts: (counts: ReadonlyMap<string, PartCount>) => void;
  readonly onReckoning: (reckoning: DeviceReckoning, counts: ReadonlyMap<string, PartCount>) => void;
  readonly onFailure: (message: string) => void;
};

/**
 * Reckons the job in the worker at each change: first the counts, then what is ordered and what it costs. While one is under way
 * the latest change waits, and those between are passed over. The worker is told only what it does not have yet.
 */
export class Reckonings {
  private waiting: ReckoningInput | undefined;
  private busy = false;
  private closed = false;
  private counts: ReadonlyMap<string, PartCount> = new Map();
  /** What the worker has. Nothing, until it has said so once, and again after anything went wrong. */
  private told: Partial<ReckoningInput> = {};

  constructor(private readonly parts: ReckoningParts) {}

  reckon(input: ReckoningInput): void {
    this.waiting = input;
    if (!this.busy) void this.runAll();
  }

  close(): void {
    this.closed = true;
    this.waiting = undefined;
    void this.parts.remote().forget(this.parts.page);
  }

  private async runAll(): Promise<void> {
    this.busy = true;
    for (let next = this.take(); next; next = this.take()) {
      try {
        await this.run(next);
      } catch (error) {
        await this.startAgain();
        this.parts.onFailure(error instanceof Error ? error.message : String(error));
      }
    }
    this.busy = false;
  }

  /** After a failure neither side can be sure what the other has. */
  private async startAgain(): Promise<void> {
    this.told = {};
    this.counts = new Map();
    await this.parts
      .remote()
      .forget(this.parts.page)
      .catch(() => undefined);
  }

  private take(): ReckoningInput | undefined {
    const next = this.waiting;
    this.waiting = undefined;
    return next;
  }

  private async run(input: ReckoningInput): Promise<void> {
    const { page, remote, onCounts, onReckoning } = this.parts;
    const { job, parts, rules, priceList } = input;
    const { told } = this;
    if (told.rules !== rules || told.priceList !== priceList) {
      await remote().learn(page, {
        ...(told.rules === rules ? {} : { rules }),
        ...(told.priceList === priceList ? {} : { priceList }),
      });
    }
    const fresh = await remote().count(page, job, namedIfSent(parts, told.parts ?? []));
    // The worker has forgotten the page meanwhile: to ask again would bring it back for nobody.
    if (this.closed) return;
    this.told = input;
    this.keep(withUnchanged(fresh, [...this.counts.values()]));
    onCounts(this.counts);
    // What is about to be counted anew need not be priced first.
    if (this.waiting) return;
    const priced = await remote().price(page);
    const counts = withUnchanged(priced.counts, [...this.counts.values()]);
    this.counts = new Map();
    this.keep(counts);
    onReckoning({ ...priced, counts }, this.counts);
  }

  private keep(counts: readonly PartCount[]): void {
    this.counts = new Map([...this.counts, ...counts.map((count) => [count.partId, count] as const)]);
  }
}
