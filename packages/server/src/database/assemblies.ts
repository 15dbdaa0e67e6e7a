import { starterAssemblies, starterPriceList, starterStandards } from "@wide-porch/library";
import type { MigrationInterface, QueryRunner } from "typeorm";

const versionsTable = (name: string): string =>
  `CREATE TABLE IF NOT EXISTS ${name} (
    companyId CHAR(36) NOT NULL, system VARCHAR(10) NOT NULL, id VARCHAR(60) NOT NULL, version INT NOT NULL,
    data JSON NOT NULL, retired BOOLEAN NOT NULL DEFAULT FALSE, createdAt DATETIME(3) NOT NULL, createdBy CHAR(36) NULL,
    PRIMARY KEY (companyId, system, id, version), FOREIGN KEY (companyId) REFERENCES company (id) ON DELETE CASCADE)
    DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`;

/** Assemblies and house standards in versions; what walls are framed by. Can be run again, where it was broken off. */
export class Assemblies1764200000000 implements MigrationInterface {
  name = "Assemblies1764200000000";

  async up(runner: QueryRunner): Promise<void> {
    for (const name of ["assembly", "house_standard"]) await runner.query(versionsTable(name));
    const companies: { id: string }[] = await runner.query("SELECT id FROM company");
    for (const { id } of companies) await addStarters(runner, id);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of ["house_standard", "assembly"]) await runner.query(`DROP TABLE ${name}`);
  }
}

async function addStarters(runner: QueryRunner, companyId: string): Promise<void> {
  const add = (table: string, each: { system: string; id: string; version: number }) =>
    runner.query(
      `INSERT IGNORE INTO ${table} (companyId, system, id, version, data, createdAt) VALUES (?, ?, ?, ?, ?, NOW(3))`,
      [companyId, each.system, each.id, each.version, JSON.stringify(each)],
    );
  for (const each of starterAssemblies) await add("assembly", each);
  for (const each of starterStandards) await add("house_standard", each);
  for (const item of starterPriceList) {
    await runner.query("INSERT IGNORE INTO price_item (companyId, code, revision, data) VALUES (?, ?, 1, ?)", [
      companyId,
      item.code,
      JSON.stringify(item),
    ]);
  }
}
