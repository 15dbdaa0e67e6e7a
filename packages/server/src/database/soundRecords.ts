import type { MigrationInterface, QueryRunner } from "typeorm";

/** Each step can be run again, so that a migration that was broken off half-way goes on at the next start. */
const STEPS = [
  // Who a command was by, and what it did. Those from before are nobody's.
  `ALTER TABLE command ADD COLUMN IF NOT EXISTS kind VARCHAR(20) NOT NULL DEFAULT ''`,
  `ALTER TABLE command ADD COLUMN IF NOT EXISTS userId CHAR(36) NOT NULL DEFAULT ''`,
  // What the examples of a version came to when it was saved.
  `ALTER TABLE assembly ADD COLUMN IF NOT EXISTS results JSON NULL`,
  // Numbers run through the year; those that came with a file are marked, and are no part of them.
  `CREATE TABLE IF NOT EXISTS quote_counter (
    companyId CHAR(36) NOT NULL, year INT NOT NULL, last INT NOT NULL, PRIMARY KEY (companyId, year),
    FOREIGN KEY (companyId) REFERENCES company (id)) DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
  `ALTER TABLE quote ADD COLUMN IF NOT EXISTS imported BOOLEAN NOT NULL DEFAULT FALSE`,
  `UPDATE quote SET imported = TRUE WHERE issuedBy IS NULL`,
  `INSERT IGNORE INTO quote_counter (companyId, year, last)
    SELECT companyId, CAST(LEFT(number, 4) AS UNSIGNED), MAX(CAST(SUBSTRING(number, 6) AS UNSIGNED)) FROM quote
    WHERE imported = FALSE AND number REGEXP '^[0-9]{4}-[0-9]+$' GROUP BY companyId, LEFT(number, 4)`,
  `ALTER TABLE quote ADD COLUMN IF NOT EXISTS ownNumber VARCHAR(40) AS (IF(imported, NULL, number)) PERSISTENT`,
  `ALTER TABLE quote ADD UNIQUE INDEX IF NOT EXISTS one_of_each_number (companyId, ownNumber)`,
];

/** Commands with their person, results of examples, quote numbers by company and year. */
export class SoundRecords1764400000000 implements MigrationInterface {
  name = "SoundRecords1764400000000";

  async up(runner: QueryRunner): Promise<void> {
    for (const step of STEPS) await runner.query(step);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query("ALTER TABLE quote DROP INDEX one_of_each_number, DROP COLUMN ownNumber, DROP COLUMN imported");
    await runner.query("DROP TABLE quote_counter");
    await runner.query("ALTER TABLE assembly DROP COLUMN results");
    await runner.query("ALTER TABLE command DROP COLUMN kind, DROP COLUMN userId");
  }
}
