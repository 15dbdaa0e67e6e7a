import { randomUUID } from "node:crypto";
import type { DataSource } from "typeorm";
import { readConfig } from "../config";
import { createDataSource } from "../database/dataSource";
import { onServer } from "./testServer";

/** An empty database of a test's own, there for as long as the test file runs. */
export function ownDatabase(): { readonly source: () => DataSource } {
  const name = `wide_porch_migration_${randomUUID().slice(0, 8)}`;
  const config = readConfig({ ...process.env, WIDE_PORCH_DB_NAME: name });
  let dataSource: DataSource | undefined;

  beforeAll(async () => {
    await onServer(config, `CREATE DATABASE ${name}`);
    dataSource = await createDataSource(config).initialize();
  });
  afterAll(async () => {
    await dataSource?.destroy();
    await onServer(config, `DROP DATABASE ${name}`);
  });
  return {
    source: () => {
      if (!dataSource) throw new Error("ownDatabase: asked for before the test file has begun");
      return dataSource;
    },
  };
}

/** A column of JSON as a record, however the driver gives it. */
export const jsonOf = (stored: unknown): unknown => (typeof stored === "string" ? JSON.parse(stored) : stored);
