import type { DeviceStore } from "../device/store";
import { emptyHistory, type History, record, redo, type Step, undo } from "./history";
import { KeptHistory } from "./keptHistory";

/** Long enough for a frame to be painted on a slow phone. */
const AFTER_PAINT_MS = 40;

type Parts = {
  readonly store: DeviceStore;
  readonly prefix: string;
  /** Makes a step on the job. */
  readonly apply: (step: Step) => void;
  readonly onChange: (history: History) => void;
};

/** A job's undo and redo, kept on the device. */
export class JobHistory {
  private now: History = emptyHistory;
  private readonly kept: KeptHistory;
  private closed = false;

  constructor(private readonly parts: Parts) {
    this.kept = new KeptHistory(parts.store, parts.prefix);
  }

  get state(): History {
    return this.now;
  }

  /** Takes up the steps made before the page was last left. */
  async open(): Promise<void> {
    const before = await this.kept.load().catch(() => emptyHistory);
    if (this.closed || before.done.length + before.undone.length === 0) return;
    // Steps made while the earlier ones were read come after them.
    const undone = this.now.done.length > 0 ? [] : before.undone;
    this.keep({ done: [...before.done, ...this.now.done], undone });
  }

  close(): void {
    this.closed = true;
  }

  take(step: Step): void {
    this.parts.apply(step);
    this.keep(record(this.now, step));
  }

  /** Does nothing where there is no step to take back, or to make again. */
  readonly undo = (): void => this.go(undo);
  readonly redo = (): void => this.go(redo);

  private go(way: typeof undo): void {
    const result = way(this.now);
    if (!result) return;
    this.parts.apply(result.step);
    this.keep(result.history);
  }

  private keep(next: History): void {
    this.now = next;
    this.parts.onChange(next);
    setTimeout(() => void this.kept.save(next), AFTER_PAINT_MS);
  }
}
