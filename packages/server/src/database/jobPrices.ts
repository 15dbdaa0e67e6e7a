import type { MigrationInterface, QueryRunner } from "typeorm";

/** What jobs come to, as it was last reckoned; and prices found by the moment they changed. Can be run again, where it was broken off. */
export class JobPrices1764900000000 implements MigrationInterface {
  name = "JobPrices1764900000000";

  async up(runner: QueryRunner): Promise<void> {
    await runner.query("CREATE INDEX IF NOT EXISTS price_item_version_at ON price_item_version (companyId, at)");
    await runner.query(`CREATE TABLE IF NOT EXISTS job_total (
      jobId CHAR(36) NOT NULL PRIMARY KEY, companyId CHAR(36) NOT NULL, changeNumber INT NOT NULL, priceStamp VARCHAR(40) NOT NULL,
      total DECIMAL(16, 2) NOT NULL, marginPercent DECIMAL(9, 1) NOT NULL, INDEX (companyId)
    ) DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query("DROP TABLE job_total");
    await runner.query("DROP INDEX price_item_version_at ON price_item_version");
  }
}
