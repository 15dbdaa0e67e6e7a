import type { Logger } from "pino";
import type Piscina from "piscina";
import type { Config } from "../config";
import { type Endpoint, keyOf, type Lane } from "../http/endpoint";
import { busy, HttpProblem, type ProblemDetails } from "../http/problemDetails";
import type { Received } from "../http/received";
import type { Outgoing } from "../http/reply";
import type { PoolFigures } from "../watching/metrics";
import { FairQueue, TooManyWait } from "./fairQueue";
import { isFull, startPool, tookTooLong, tookTooMuch, usualThreads } from "./startPool";

/** What a thread is asked: which endpoint, and the request. */
export type Task = { readonly key: string; readonly received: Received };
/** How long one task may take, where that is longer than usual. */
type Longest = { readonly longestMs?: number | undefined };
/** What it says: the answer, or the problem with why it failed where that is our own fault. */
export type Answered = { readonly outgoing: Outgoing } | { readonly problem: ProblemDetails; readonly why?: string };

/** What one piece of work may take, from the moment it is begun: how long it waited is nothing to it. */
type Most = {
  readonly longestMs: number;
  readonly mostMegabytes: number;
  /** Whether what takes longer was too much by itself; else it is the machine that has too much to do, and the same can be sent again. */
  readonly byItself: boolean;
};

/** Answered by a thread that has loaded all that it answers with. */
export const READY = "ready";

const LANES: Readonly<Record<Lane, Most>> = {
  // A job's file of 200 MB is read whole.
  reckoning: { longestMs: 30_000, mostMegabytes: 900, byItself: true },
  // A job of two thousand parts is read whole. How large a record can be is limited before: what takes so long waits for the database or for a core.
  records: { longestMs: 20_000, mostMegabytes: 400, byItself: false },
};

/** Pieces of one company's work that may wait in a lane. */
const MOST_WAITING = 16;
/** Bytes beyond this are handed over, not copied. */
const HANDED_OVER = 64 * 1024;
/** How long a piece takes before any has been seen. */
const FIRST_GUESS_MS = 500;

const tooMuch = (message: string): HttpProblem =>
  new HttpProblem(422, { detail: message, problems: [{ code: "too-much-work", path: "", message }] });

/** The bytes of a body that can be given away whole. */
function handedOver(body: unknown): ArrayBuffer[] {
  if (!(body instanceof Uint8Array) || body.byteLength < HANDED_OVER) return [];
  const { buffer } = body;
  return buffer instanceof ArrayBuffer && buffer.byteLength === body.byteLength ? [buffer] : [];
}

const always = (): boolean => true;

/** Threads for one kind of work, and the rows in which companies wait for them. */
class LaneOfThreads {
  private started: Piscina | undefined;
  private ready: Promise<unknown> | undefined;
  private readonly queue: FairQueue;
  private usualMs = FIRST_GUESS_MS;
  ended = 0;

  constructor(
    private readonly config: Config,
    private readonly logger: Logger,
    private readonly most: Most,
  ) {
    const threads = usualThreads();
    this.queue = new FairQueue({ most: threads, mostOfOne: threads - 1, mostWaiting: MOST_WAITING });
  }

  /** Started when it is first asked, or told to be warm: the thread that listens comes first. */
  get pool(): Piscina {
    const threads = usualThreads();
    const { mostMegabytes } = this.most;
    const warm = this.config.warmThreads ? threads : 0;
    const limits = { mostWaiting: threads, mostMegabytes, threads, warm };
    this.started ??= startPool("answerWorker.js", this.config, limits, this.logger);
    return this.started;
  }

  waiting(): number {
    return this.queue.waiting() + (this.started?.queueSize ?? 0);
  }

  threads(): number {
    return this.started?.threads.length ?? 0;
  }

  async close(): Promise<void> {
    await this.started?.destroy();
  }

  async run(company: string, task: Task, longest: Longest, isWanted: () => boolean): Promise<Answered | undefined> {
    try {
      return await this.queue.run(company, () => this.work(task, longest), isWanted);
    } catch (error) {
      if (!(error instanceof TooManyWait)) throw error;
      const retryAfterS = Math.max(1, Math.ceil((error.waiting * this.usualMs) / 1000));
      throw busy({ waiting: error.waiting, retryAfterS });
    }
  }

  /** On a machine with much to do a thread takes longer to begin than most work takes: that is no part of the work. */
  private async begun(): Promise<void> {
    this.ready ??= this.pool.run(READY);
    try {
      await this.ready;
    } catch (error) {
      this.ready = undefined;
      throw error;
    }
  }

  private async work(task: Task, longest: Longest): Promise<Answered> {
    await this.begun();
    const from = performance.now();
    const longestMs = Math.max(this.most.longestMs, longest.longestMs ?? 0);
    const signal = AbortSignal.timeout(longestMs);
    try {
      return await this.pool.run(task, { signal, transferList: handedOver(task.received.body) });
    } catch (error) {
      this.ended += 1;
      this.logger.warn({ err: error, asked: task.key }, "a piece of work was ended");
      throw problemOf(error, longestMs, this.most.byItself);
    } finally {
      this.usualMs += (performance.now() - from - this.usualMs) / 10;
    }
  }
}

/** So long a database takes to be back, about. */
const AGAIN_S = 5;

function problemOf(error: unknown, longestMs: number, byItself: boolean): unknown {
  if (tookTooLong(error) && !byItself) return busy({ retryAfterS: AGAIN_S });
  if (tookTooLong(error)) {
    return tooMuch(`This takes longer than ${longestMs / 1000} seconds, and was ended. Split it into smaller ones.`);
  }
  if (tookTooMuch(error)) {
    return tooMuch("This takes more memory than there is for one request, and was ended. Split it into smaller ones.");
  }
  return isFull(error) ? busy() : error;
}

export type HeavyAnswers = {
  /**
   * Answers in a thread of the endpoint's lane, when it is the company's turn. Throws what the endpoint throws, 422 for what takes too long or
   * too much, 503 where too much of the company's waits, with how much and when to come again. Not begun where nobody wants it by then.
   */
  readonly answer: (endpoint: Endpoint, received: Received, isWanted?: () => boolean) => Promise<Outgoing>;
  readonly figures: () => PoolFigures;
  /** Starts the threads before there is work for them. */
  readonly warm: () => void;
  readonly close: () => Promise<void>;
};

/** Whoever asked has gone: nobody reads what is said. */
const gone = (): HttpProblem => new HttpProblem(408, { detail: "Nobody waits for this any more." });

export function startHeavyAnswers(config: Config, logger: Logger, most: Partial<Most> = {}): HeavyAnswers {
  const laneOf = (lane: Lane) => new LaneOfThreads(config, logger, { ...LANES[lane], ...most });
  const lanes: Readonly<Record<Lane, LaneOfThreads>> = { reckoning: laneOf("reckoning"), records: laneOf("records") };
  const all = Object.values(lanes);
  const sum = (of: (lane: LaneOfThreads) => number): number => all.reduce((total, lane) => total + of(lane), 0);
  return {
    answer: async (endpoint, received, isWanted = always) => {
      const company = received.signedIn?.user.companyId ?? "";
      const lane = lanes[endpoint.lane ?? "reckoning"];
      const answered = await lane.run(company, { key: keyOf(endpoint), received }, endpoint, isWanted);
      if (!answered) throw gone();
      if ("outgoing" in answered) return answered.outgoing;
      if (answered.why !== undefined) logger.error({ asked: keyOf(endpoint), why: answered.why }, "request failed");
      throw HttpProblem.of(answered.problem);
    },
    figures: () => ({
      waiting: sum((lane) => lane.waiting()),
      threads: sum((lane) => lane.threads()),
      ended: sum(({ ended }) => ended),
    }),
    warm: () => {
      for (const lane of all) void lane.pool;
    },
    close: async () => {
      await Promise.all(all.map((lane) => lane.close()));
    },
  };
}
