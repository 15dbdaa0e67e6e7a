import { availableParallelism } from "node:os";
import type { Logger } from "pino";
import Piscina from "piscina";
import { builtScript } from "../builtScript";

type Limits = {
  /** Work that waits for a thread; beyond it work is refused, and can be sent again. */
  readonly mostWaiting: number;
  readonly mostMegabytes: number;
  readonly threads?: number;
  /** Threads that are there before there is work, and stay. */
  readonly warm?: number;
};

/** Two at the least, so that one long piece of work leaves a thread to the others. */
export const usualThreads = (): number => Math.max(2, availableParallelism());

/** Threads that run a script which `npm start` and the tests have bundled. They yield to the thread that answers. */
export function startPool(script: string, workerData: unknown, limits: Limits, logger: Logger): Piscina {
  const pool = new Piscina({
    filename: builtScript(script),
    workerData,
    minThreads: limits.warm ?? 0,
    maxThreads: limits.threads ?? usualThreads(),
    idleTimeout: IDLE_MS,
    maxQueue: limits.mostWaiting,
    niceIncrement: 5,
    resourceLimits: { maxOldGenerationSizeMb: limits.mostMegabytes },
  });
  // A thread that ended with nothing to do, or as it began: what it worked on is told where it was asked for.
  pool.on("error", (error) => logger.warn({ err: error, script }, "a thread ended"));
  return pool;
}

/** A thread beyond the warm ones that had nothing to do for so long is given up; the next work starts one. */
const IDLE_MS = 300_000;

/** What an error says of itself; one of another thread is not always an Error of this one. */
function saidBy(error: unknown, name: "code" | "message" | "name"): string {
  if (typeof error !== "object" || error === null || !(name in error)) return "";
  return String((error as Readonly<Record<string, unknown>>)[name]);
}

export const isFull = (error: unknown): boolean => /queue is at limit/.test(saidBy(error, "message"));
export const tookTooLong = (error: unknown): boolean => saidBy(error, "name") === "AbortError";
export const tookTooMuch = (error: unknown): boolean => saidBy(error, "code") === "ERR_WORKER_OUT_OF_MEMORY";
