import { type Connection, createConnection, type RowDataPacket } from "mysql2/promise";
import type { Config } from "../config";
import { createDataSource } from "../database/dataSource";
import { loadDemo } from "../demo/load";

/** All tests of a run share the database server; the first that needs the template makes it. */
const TEMPLATE = "wide_porch_test_template";
/** Made last: a template that was broken off has none. */
const COMPLETE = "template_is_complete";
const PATIENCE_S = 120;

async function migrateAndFill(config: Config, name: string): Promise<void> {
  const dataSource = await createDataSource({ database: { ...config.database, name } }).initialize();
  await dataSource.runMigrations();
  await loadDemo(dataSource);
  await dataSource.destroy();
}

async function tablesOf(connection: Connection, database: string): Promise<string[]> {
  const [rows] = await connection.query<RowDataPacket[]>(
    "SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = ? AND TABLE_TYPE = 'BASE TABLE'",
    [database],
  );
  return rows.map(({ name }) => String(name));
}

/** Those that hold what was given; a generated one is worked out anew. */
async function givenColumns(connection: Connection, database: string, table: string): Promise<string> {
  const [rows] = await connection.query<RowDataPacket[]>(
    "SELECT COLUMN_NAME AS name FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = ? AND TABLE_NAME = ? AND GENERATION_EXPRESSION IS NULL",
    [database, table],
  );
  return rows.map(({ name }) => `\`${name}\``).join(", ");
}

/** A database with the tables and rows of another. Keys to other tables are looked at again afterwards. */
async function copyDatabase(connection: Connection, from: string, to: string): Promise<void> {
  await connection.query(`CREATE DATABASE ${to}`);
  await connection.query(`USE ${to}`);
  await connection.query("SET FOREIGN_KEY_CHECKS = 0");
  for (const table of await tablesOf(connection, from)) {
    if (table === COMPLETE) continue;
    const [[row]] = await connection.query<RowDataPacket[]>(`SHOW CREATE TABLE ${from}.\`${table}\``);
    await connection.query(String(row?.["Create Table"]));
    const columns = await givenColumns(connection, from, table);
    await connection.query(`INSERT INTO \`${table}\` (${columns}) SELECT ${columns} FROM ${from}.\`${table}\``);
  }
  await connection.query("SET FOREIGN_KEY_CHECKS = 1");
}

async function ensureTemplate(connection: Connection, config: Config): Promise<void> {
  await connection.query("SELECT GET_LOCK(?, ?)", [TEMPLATE, PATIENCE_S]);
  try {
    if ((await tablesOf(connection, TEMPLATE)).includes(COMPLETE)) return;
    await connection.query(`DROP DATABASE IF EXISTS ${TEMPLATE}`);
    await connection.query(`CREATE DATABASE ${TEMPLATE}`);
    await migrateAndFill(config, TEMPLATE);
    await connection.query(`CREATE TABLE ${TEMPLATE}.${COMPLETE} (id INT)`);
  } finally {
    await connection.query("SELECT RELEASE_LOCK(?)", [TEMPLATE]);
  }
}

/** A database of a test file's own: every migration run, the demo company in it. Copied, as each of them takes seconds. */
export async function migratedDatabase(config: Config, name: string): Promise<void> {
  const { host, port, user, password } = config.database;
  const connection = await createConnection({ host, port, user, password });
  try {
    await ensureTemplate(connection, config);
    await copyDatabase(connection, TEMPLATE, name);
  } finally {
    await connection.end();
  }
}
