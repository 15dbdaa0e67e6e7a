import type { RequestHandler } from "express";
import type { DataSource } from "typeorm";
import type { PoolFigures } from "./metrics";

const PATIENCE_MS = 2000;

const later = (ms: number): Promise<never> =>
  new Promise((_, fail) => {
    setTimeout(() => fail(new Error("no answer")), ms).unref();
  });

type Check = { readonly ok: boolean; readonly ms?: number; readonly why?: string };

async function databaseCheck(dataSource: DataSource): Promise<Check> {
  const from = performance.now();
  try {
    await Promise.race([dataSource.query("SELECT 1"), later(PATIENCE_MS)]);
    return { ok: true, ms: Math.round(performance.now() - from) };
  } catch {
    return { ok: false, why: "The database does not answer." };
  }
}

/** So many pieces of work are waited for without anybody noticing. */
const MANY_WAITING = 500;

/** Whether the server can do its work, and why not: 200, or 503. */
export const healthPage =
  (dataSource: DataSource, pool: () => PoolFigures): RequestHandler =>
  async (_request, response) => {
    const database = await databaseCheck(dataSource);
    const { waiting, threads } = pool();
    const isFull = waiting > MANY_WAITING;
    const work = {
      ok: !isFull,
      waiting,
      threads,
      ...(isFull ? { why: "More heavy work waits than can be done." } : {}),
    };
    const ok = database.ok && work.ok;
    response.status(ok ? 200 : 503).json({ status: ok ? "ok" : "down", checks: { database, work } });
  };
