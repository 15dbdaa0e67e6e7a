import { randomUUID } from "node:crypto";
import { starterCompanySettings } from "@wide-porch/library";
import type { DataSource, QueryRunner } from "typeorm";
import { ownDatabase } from "../testing/ownDatabase";
import { DeckStarters1766400000000 } from "./deckStarters";

const database = ownDatabase();

/** How the tables are made, each by its name. */
async function tables(source: DataSource): Promise<Record<string, string>> {
  const rows: { name: string }[] = await source.query(
    "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()",
  );
  const made: Record<string, string> = {};
  for (const { name } of rows) {
    const [row] = await source.query(`SHOW CREATE TABLE \`${name}\``);
    made[name] = String(row["Create Table"]).replace(/ AUTO_INCREMENT=\d+/, "");
  }
  return made;
}

async function emptied(source: DataSource): Promise<void> {
  await source.query("SET FOREIGN_KEY_CHECKS = 0");
  for (const name of Object.keys(await tables(source))) await source.query(`DROP TABLE \`${name}\``);
  await source.query("SET FOREIGN_KEY_CHECKS = 1");
}

/** Runs migrations as a server does that is killed before one of their statements; resolves to how many there were. */
async function brokenOffBefore(source: DataSource, statement: number): Promise<number> {
  let sent = 0;
  const begin = source.createQueryRunner.bind(source);
  const made = jest.spyOn(source, "createQueryRunner").mockImplementation((mode) => {
    const runner: QueryRunner = begin(mode);
    const query = runner.query.bind(runner);
    jest.spyOn(runner, "query").mockImplementation((...args) => {
      sent += 1;
      if (sent >= statement) return Promise.reject(new Error("killed"));
      return query(...args);
    });
    return runner;
  });
  try {
    await source.runMigrations({ transaction: "each" }).catch((error: Error) => {
      if (!/killed/.test(error.message)) throw error;
    });
  } finally {
    made.mockRestore();
  }
  return sent;
}

describe("a first start that is killed", () => {
  it("goes on at the next start, wherever it was", async () => {
    const source = database.source();
    const all = await brokenOffBefore(source, Number.POSITIVE_INFINITY);
    const whole = await tables(source);
    expect(all).toBeGreaterThan(60);
    for (const share of [0.05, 0.2, 0.3, 0.45, 0.6, 0.8, 0.97]) {
      await emptied(source);
      await brokenOffBefore(source, Math.ceil(all * share));
      await source.runMigrations({ transaction: "each" });
      expect(await tables(source)).toEqual(whole);
    }
  }, 120_000);
});

describe("a migration that meets a record which cannot be read", () => {
  it("names it, and changes nothing", async () => {
    const source = database.source();
    await source.runMigrations({ transaction: "each" });
    const [good, bad] = [randomUUID(), randomUUID()].toSorted();
    const put = (id: string | undefined, settings: unknown) =>
      source.query("INSERT INTO company (id, name, settings) VALUES (?, 'C', ?)", [id, JSON.stringify(settings)]);
    await put(good, starterCompanySettings);
    await put(bad, { pricing: { tasks: "none" } });
    const runner = source.createQueryRunner();
    await runner.startTransaction();
    await expect(new DeckStarters1766400000000().up(runner)).rejects.toThrow(new RegExp(`settings of company ${bad}`));
    await runner.rollbackTransaction();
    await runner.release();
    const [{ count }] = await source.query("SELECT COUNT(*) AS count FROM assembly");
    expect(Number(count)).toBe(0);
  });
});
