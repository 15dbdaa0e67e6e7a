import { randomUUID } from "node:crypto";
import { partSchema } from "@wide-porch/core";
import { createConnection } from "mysql2/promise";
import type { DataSource } from "typeorm";
import { readConfig } from "../config";
import { newWall } from "../testing/testServer";
import { createDataSource } from "./dataSource";
import { SiteMeasuring1764100000000 } from "./siteMeasuring";

const name = `wide_porch_migration_${randomUUID().slice(0, 8)}`;
const config = readConfig({ ...process.env, WIDE_PORCH_DB_NAME: name });
let dataSource: DataSource;

async function onServer(statement: string): Promise<void> {
  const { host, port, user, password } = config.database;
  const connection = await createConnection({ host, port, user, password });
  await connection.query(statement);
  await connection.end();
}

beforeAll(async () => {
  await onServer(`CREATE DATABASE ${name}`);
  dataSource = await createDataSource(config).initialize();
});
afterAll(async () => {
  await dataSource.destroy();
  await onServer(`DROP DATABASE ${name}`);
});

/** A wall as it was stored before parts had notes, photos and a place on the plan. */
function oldWall(id: string) {
  const { plan: _plan, ends: _ends, meetings: _meetings, notes: _notes, photos: _photos, ...rest } = newWall(id);
  return { ...rest, schemaVersion: 1, storey: "" };
}

describe("a database from before rooms", () => {
  it("has its walls lifted, with a first version in their history, and goes back", async () => {
    await dataSource.runMigrations();
    const runner = dataSource.createQueryRunner();
    const migration = new SiteMeasuring1764100000000();
    await migration.down(runner);
    const ids = { company: randomUUID(), job: randomUUID(), wall: randomUUID() };
    await runner.query("INSERT INTO company (id, name, settings) VALUES (?, 'C', '{}')", [ids.company]);
    await runner.query(
      "INSERT INTO job (id, companyId, revision, data, createdAt, updatedAt) VALUES (?, ?, 1, '{}', NOW(), NOW())",
      [ids.job, ids.company],
    );
    await runner.query(
      `INSERT INTO part (id, companyId, jobId, revision, place, data, updatedAt, updatedBy)
       VALUES (?, ?, ?, 4, 1, ?, NOW(), ?)`,
      [ids.wall, ids.company, ids.job, JSON.stringify(oldWall(ids.wall)), randomUUID()],
    );

    await migration.up(runner);
    const [part] = await runner.query("SELECT data FROM part WHERE id = ?", [ids.wall]);
    const data = typeof part.data === "string" ? JSON.parse(part.data) : part.data;
    expect(partSchema.parse(data)).toEqual({ ...newWall(ids.wall), storey: "Ground" });
    const versions = await runner.query("SELECT revision, how FROM part_version WHERE partId = ?", [ids.wall]);
    expect(versions).toMatchObject([{ revision: 4, how: "saved" }]);
    await runner.release();
  });
});
