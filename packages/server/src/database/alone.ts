import { randomUUID } from "node:crypto";
import { setTimeout as pause } from "node:timers/promises";
import type { DataSource } from "typeorm";
import { metAnother } from "./conflicts";

const PATIENCE_MS = 60_000;
const ASK_EVERY_MS = 200;
/** A server that was killed holds what it had for so long; one that is well says again that it holds it. */
const HELD_S = 10;
const SAID_AGAIN_MS = 2000;

/** Data sources over the nodes of a cluster, which do not share the locks of their sessions. */
const clusters = new WeakSet<DataSource>();
export const noteCluster = (dataSource: DataSource): void => {
  clusters.add(dataSource);
};

/** Runs `work` while no other server on this database does the same: migrations and demo data happen once. */
export const alone = <T>(dataSource: DataSource, name: string, work: () => Promise<T>): Promise<T> =>
  clusters.has(dataSource) ? byRow(dataSource, name, work) : bySession(dataSource, name, work);

/** By a lock of the session, which ends with its connection: a server that is killed holds nothing up. */
async function bySession<T>(dataSource: DataSource, name: string, work: () => Promise<T>): Promise<T> {
  const runner = dataSource.createQueryRunner();
  try {
    const [row] = await runner.query("SELECT GET_LOCK(?, ?) AS got", [name, PATIENCE_MS / 1000]);
    if (Number(row?.got) !== 1) throw heldTooLong(name);
    return await work();
  } finally {
    await runner.query("SELECT RELEASE_LOCK(?)", [name]);
    await runner.release();
  }
}

const heldTooLong = (name: string): Error =>
  new Error(`alone: another server has held "${name}" for ${PATIENCE_MS / 1000} s`);

const TABLE = `CREATE TABLE IF NOT EXISTS server_lock (
  name VARCHAR(60) NOT NULL PRIMARY KEY, holder CHAR(36) NOT NULL, until DATETIME(3) NOT NULL)
  DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`;

/** Takes the row, or says again that it is held. Columns are set one after the other: \`until\` sees the new holder. */
const TAKE = `INSERT INTO server_lock (name, holder, until) VALUES (?, ?, UTC_TIMESTAMP(3) + INTERVAL ${HELD_S} SECOND)
  ON DUPLICATE KEY UPDATE holder = IF(until < UTC_TIMESTAMP(3), VALUES(holder), holder),
    until = IF(holder = VALUES(holder), VALUES(until), until)`;

/** Of two nodes that take it at the same moment one is refused as it commits. */
async function takes(dataSource: DataSource, name: string, holder: string): Promise<boolean> {
  try {
    await dataSource.query(TAKE, [name, holder]);
    const [row] = await dataSource.query("SELECT holder FROM server_lock WHERE name = ?", [name]);
    return row?.holder === holder;
  } catch (error) {
    if (metAnother(error)) return false;
    throw error;
  }
}

/** By a row that all nodes have. */
async function byRow<T>(dataSource: DataSource, name: string, work: () => Promise<T>): Promise<T> {
  // Migrations themselves run under a lock, on a database that has no table yet.
  await dataSource.query(TABLE);
  const holder = randomUUID();
  for (const end = Date.now() + PATIENCE_MS; !(await takes(dataSource, name, holder)); await pause(ASK_EVERY_MS)) {
    if (Date.now() > end) throw heldTooLong(name);
  }
  const again = setInterval(() => void takes(dataSource, name, holder).catch(() => false), SAID_AGAIN_MS);
  try {
    return await work();
  } finally {
    clearInterval(again);
    await dataSource.query("DELETE FROM server_lock WHERE name = ? AND holder = ?", [name, holder]);
  }
}
