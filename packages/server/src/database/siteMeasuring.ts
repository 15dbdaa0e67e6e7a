import { kindOf, migrate, type Part, partSchema } from "@wide-porch/core";
import type { MigrationInterface, QueryRunner } from "typeorm";

const TABLES = [
  `CREATE TABLE part_version (
    id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY, companyId CHAR(36) NOT NULL, jobId CHAR(36) NOT NULL,
    partId CHAR(36) NOT NULL, revision INT NOT NULL, how VARCHAR(20) NOT NULL, data JSON NOT NULL,
    at DATETIME(3) NOT NULL, byUserId CHAR(36) NOT NULL, INDEX (companyId, jobId, partId, id),
    FOREIGN KEY (jobId) REFERENCES job (id) ON DELETE CASCADE)`,
  `CREATE TABLE photo (
    id CHAR(36) NOT NULL PRIMARY KEY, companyId CHAR(36) NOT NULL, jobId CHAR(36) NOT NULL, contentType VARCHAR(40) NOT NULL,
    widthPx INT NOT NULL, heightPx INT NOT NULL, bytes MEDIUMBLOB NOT NULL, createdAt DATETIME(3) NOT NULL,
    createdBy CHAR(36) NOT NULL, INDEX (companyId, jobId), FOREIGN KEY (jobId) REFERENCES job (id) ON DELETE CASCADE)`,
];

/** History and photos of parts; stored parts are brought to the newest version of their kind. */
export class SiteMeasuring1764100000000 implements MigrationInterface {
  name = "SiteMeasuring1764100000000";

  async up(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) await runner.query(`${table} DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
    const rows: { id: string; data: string | Part }[] = await runner.query("SELECT id, data FROM part");
    for (const row of rows) {
      const stored = typeof row.data === "string" ? JSON.parse(row.data) : row.data;
      const lifted = migrate(stored, kindOf(stored).migrations);
      if (!lifted.ok) throw new Error(`part ${row.id}: ${lifted.problem.message}`);
      const data = JSON.stringify(partSchema.parse(lifted.value));
      await runner.query("UPDATE part SET data = ? WHERE id = ?", [data, row.id]);
    }
    await runner.query(
      `INSERT INTO part_version (companyId, jobId, partId, revision, how, data, at, byUserId)
       SELECT companyId, jobId, id, revision, 'saved', data, updatedAt, updatedBy FROM part`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of ["photo", "part_version"]) await runner.query(`DROP TABLE ${name}`);
  }
}
