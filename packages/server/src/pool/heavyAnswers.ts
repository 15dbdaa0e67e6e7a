import pLimit, { type Limit } from "p-limit";
import type { Logger } from "pino";
import type { Config } from "../config";
import { type Endpoint, keyOf } from "../http/endpoint";
import { busy, HttpProblem, type ProblemDetails } from "../http/problemDetails";
import type { Received } from "../http/received";
import type { Outgoing } from "../http/reply";
import type { PoolFigures } from "../watching/metrics";
import { isFull, startPool, tookTooLong, tookTooMuch, usualThreads } from "./startPool";

/** What a thread is asked: which endpoint, and the request. */
export type Task = { readonly key: string; readonly received: Received };
/** What it says: the answer, or the problem with why it failed where that is our own fault. */
export type Answered = { readonly outgoing: Outgoing } | { readonly problem: ProblemDetails; readonly why?: string };

const LONGEST_MS = 30_000;
/** A job's file of 200 MB is read whole. */
const MOST_MEGABYTES = 1024;
const MOST_WAITING = 200;
/** Bytes beyond this are handed over, not copied. */
const HANDED_OVER = 64 * 1024;

const tooMuch = (message: string): HttpProblem =>
  new HttpProblem(422, { detail: message, problems: [{ code: "too-much-work", path: "", message }] });

function problemOf(error: unknown): unknown {
  if (tookTooLong(error)) {
    return tooMuch(`This takes longer than ${LONGEST_MS / 1000} seconds, and was ended. Split it into smaller ones.`);
  }
  if (tookTooMuch(error))
    return tooMuch("This takes more memory than there is for one request, and was ended. Split it into smaller ones.");
  if (isFull(error)) return busy();
  return error;
}

/** The bytes of a body that can be given away whole. */
function handedOver(body: unknown): ArrayBuffer[] {
  if (!(body instanceof Uint8Array) || body.byteLength < HANDED_OVER) return [];
  const { buffer } = body;
  return buffer instanceof ArrayBuffer && buffer.byteLength === body.byteLength ? [buffer] : [];
}

/** No company has all the threads: another one's work always finds one free, or soon will. */
class Shares {
  private readonly limits = new Map<string, Limit>();

  constructor(private readonly most: number) {}

  waiting(): number {
    return [...this.limits.values()].reduce((sum, { pendingCount }) => sum + pendingCount, 0);
  }

  async run<T>(company: string, work: () => Promise<T>): Promise<T> {
    const limit = this.limits.get(company) ?? pLimit(this.most);
    this.limits.set(company, limit);
    if (limit.pendingCount >= MOST_WAITING) throw busy();
    try {
      return await limit(work);
    } finally {
      if (limit.activeCount === 0 && limit.pendingCount === 0) this.limits.delete(company);
    }
  }
}

export type HeavyAnswers = {
  /** Answers in a thread of the pool. Throws what the endpoint throws, 422 for what takes too long or too much, 503 where too much waits. */
  readonly answer: (endpoint: Endpoint, received: Received) => Promise<Outgoing>;
  readonly figures: () => PoolFigures;
  readonly close: () => Promise<void>;
};

/** What one piece of work may take. */
type Most = { readonly longestMs: number; readonly mostMegabytes: number };
const USUAL: Most = { longestMs: LONGEST_MS, mostMegabytes: MOST_MEGABYTES };

export function startHeavyAnswers(config: Config, logger: Logger, most: Partial<Most> = {}): HeavyAnswers {
  const { longestMs, mostMegabytes } = { ...USUAL, ...most };
  const threads = usualThreads();
  const pool = startPool(
    "answerWorker.js",
    config,
    {
      mostWaiting: MOST_WAITING,
      mostMegabytes,
      threads,
    },
    logger,
  );
  const shares = new Shares(threads - 1);
  let ended = 0;
  const run = async (task: Task): Promise<Answered> => {
    const signal = AbortSignal.timeout(longestMs);
    try {
      return await pool.run(task, { signal, transferList: handedOver(task.received.body) });
    } catch (error) {
      ended += 1;
      logger.warn({ err: error, asked: task.key }, "a piece of work was ended");
      throw problemOf(error);
    }
  };
  return {
    answer: async (endpoint, received) => {
      const company = received.signedIn?.user.companyId ?? "";
      const answered = await shares.run(company, () => run({ key: keyOf(endpoint), received }));
      if ("outgoing" in answered) return answered.outgoing;
      if (answered.why !== undefined) logger.error({ asked: keyOf(endpoint), why: answered.why }, "request failed");
      throw HttpProblem.of(answered.problem);
    },
    figures: () => ({ waiting: pool.queueSize + shares.waiting(), threads: pool.threads.length, ended }),
    close: () => pool.destroy(),
  };
}
