/** More waits for this one's turn already than may. */
export class TooManyWait extends Error {
  constructor(
    /** How many wait before it. */
    readonly waiting: number,
  ) {
    super(`FairQueue: ${waiting} wait already`);
  }
}

/** `begin` is told whether anybody still waits for it. */
type Waiting = { readonly begin: (wanted: boolean) => void; readonly isWanted: () => boolean };

type Limits = {
  /** Pieces of work that run at once, in all. */
  readonly most: number;
  /** Of those so many at once of one company: another one's work always finds room, or soon will. */
  readonly mostOfOne: number;
  /** So many of one company may wait. */
  readonly mostWaiting: number;
};

const always = (): boolean => true;

/**
 * Work of many companies, each in a row of its own: they take turns, and however much one brings, the others' next piece is never behind more
 * than one of it. What waits takes no thread and no clock runs for it.
 */
export class FairQueue {
  private readonly rows = new Map<string, Waiting[]>();
  private readonly running = new Map<string, number>();
  private runningInAll = 0;

  constructor(private readonly limits: Limits) {}

  waiting(): number {
    return [...this.rows.values()].reduce((sum, row) => sum + row.length, 0);
  }

  /**
   * Does the work when it is its turn; resolves to undefined where nobody wants it any more by then (`isWanted`). Throws TooManyWait where the
   * company's row is full.
   */
  async run<T>(company: string, work: () => Promise<T>, isWanted: () => boolean = always): Promise<T | undefined> {
    const row = this.rows.get(company) ?? [];
    if (row.length >= this.limits.mostWaiting) throw new TooManyWait(row.length);
    const begun = new Promise<boolean>((begin) => {
      row.push({ begin, isWanted });
    });
    this.rows.set(company, row);
    this.next();
    if (!(await begun)) return undefined;
    try {
      return await work();
    } finally {
      this.ended(company);
    }
  }

  private runs(company: string): number {
    return this.running.get(company) ?? 0;
  }

  private ended(company: string): void {
    this.runningInAll -= 1;
    const left = this.runs(company) - 1;
    if (left > 0) this.running.set(company, left);
    else this.running.delete(company);
    this.next();
  }

  /** Begins what there is room for. A company that was served goes to the end. */
  private next(): void {
    for (const [company, row] of [...this.rows]) {
      if (this.runningInAll >= this.limits.most) return;
      if (this.runs(company) >= this.limits.mostOfOne) continue;
      const first = firstWanted(row);
      this.rows.delete(company);
      if (row.length > 0) this.rows.set(company, row);
      if (!first) continue;
      this.running.set(company, this.runs(company) + 1);
      this.runningInAll += 1;
      first.begin(true);
    }
  }
}

/** The first of a row that somebody still waits for; those before it are let go. */
function firstWanted(row: Waiting[]): Waiting | undefined {
  for (let first = row.shift(); first; first = row.shift()) {
    if (first.isWanted()) return first;
    first.begin(false);
  }
  return undefined;
}
