import type { MigrationInterface, QueryRunner } from "typeorm";

const TABLES = [
  `CREATE TABLE IF NOT EXISTS part_version (
    id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY, companyId CHAR(36) NOT NULL, jobId CHAR(36) NOT NULL,
    partId CHAR(36) NOT NULL, revision INT NOT NULL, how VARCHAR(20) NOT NULL, data JSON NOT NULL,
    at DATETIME(3) NOT NULL, byUserId CHAR(36) NOT NULL, INDEX (companyId, jobId, partId, id),
    FOREIGN KEY (jobId) REFERENCES job (id) ON DELETE CASCADE)`,
  `CREATE TABLE IF NOT EXISTS photo (
    id CHAR(36) NOT NULL PRIMARY KEY, companyId CHAR(36) NOT NULL, jobId CHAR(36) NOT NULL, contentType VARCHAR(40) NOT NULL,
    widthPx INT NOT NULL, heightPx INT NOT NULL, bytes MEDIUMBLOB NOT NULL, createdAt DATETIME(3) NOT NULL,
    createdBy CHAR(36) NOT NULL, INDEX (companyId, jobId), FOREIGN KEY (jobId) REFERENCES job (id) ON DELETE CASCADE)`,
];

/** History and photos of parts. Stored parts are brought up to date as they are read. Can be run again, where it was broken off. */
export class SiteMeasuring1764100000000 implements MigrationInterface {
  name = "SiteMeasuring1764100000000";

  async up(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) await runner.query(`${table} DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
    await runner.query(
      `INSERT INTO part_version (companyId, jobId, partId, revision, how, data, at, byUserId)
       SELECT companyId, jobId, id, revision, 'saved', data, updatedAt, updatedBy FROM part
       WHERE NOT EXISTS (SELECT 1 FROM part_version WHERE part_version.partId = part.id)`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of ["photo", "part_version"]) await runner.query(`DROP TABLE ${name}`);
  }
}
