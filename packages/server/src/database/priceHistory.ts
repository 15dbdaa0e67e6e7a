import type { MigrationInterface, QueryRunner } from "typeorm";

const TABLES = [
  `CREATE TABLE IF NOT EXISTS price_batch (
    id CHAR(36) NOT NULL PRIMARY KEY, companyId CHAR(36) NOT NULL, fromWhere VARCHAR(200) NOT NULL, at DATETIME(3) NOT NULL,
    byUserId CHAR(36) NOT NULL, itemCount INT NOT NULL, undoneAt DATETIME(3) NULL, INDEX (companyId, at))`,
  `CREATE TABLE IF NOT EXISTS price_item_version (
    id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY, companyId CHAR(36) NOT NULL, code VARCHAR(80) NOT NULL, revision INT NOT NULL,
    data JSON NOT NULL, at DATETIME(3) NOT NULL, byUserId CHAR(36) NULL, batchId CHAR(36) NULL,
    UNIQUE (companyId, code, revision), INDEX (companyId, batchId))`,
];

/** Every price that an item ever had, and what came together out of a file. Can be run again, where it was broken off. */
export class PriceHistory1764800000000 implements MigrationInterface {
  name = "PriceHistory1764800000000";

  async up(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) await runner.query(`${table} DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of ["price_item_version", "price_batch"]) await runner.query(`DROP TABLE ${name}`);
  }
}
