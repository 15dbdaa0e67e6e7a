import type { MigrationInterface, QueryRunner } from "typeorm";

const DEMO_EMAILS = ["ros@fernhollow.example", "piet@fernhollow.example", "juno@fernhollow.example"];

/** Each can be run again, where it was broken off. */
const STEPS = [
  "ALTER TABLE company ADD COLUMN IF NOT EXISTS demo BOOLEAN NOT NULL DEFAULT FALSE",
  "ALTER TABLE user ADD COLUMN IF NOT EXISTS leftAt DATETIME(3) NULL",
  "ALTER TABLE session ADD COLUMN IF NOT EXISTS createdAt DATETIME NOT NULL DEFAULT UTC_TIMESTAMP()",
  "ALTER TABLE session ADD COLUMN IF NOT EXISTS seenAt DATETIME NOT NULL DEFAULT UTC_TIMESTAMP()",
  "ALTER TABLE session ADD COLUMN IF NOT EXISTS device VARCHAR(300) NOT NULL DEFAULT ''",
  "CREATE INDEX IF NOT EXISTS sign_in_attempt_resetAt ON sign_in_attempt (resetAt)",
  `CREATE TABLE IF NOT EXISTS invitation (
    id CHAR(36) NOT NULL PRIMARY KEY, companyId CHAR(36) NOT NULL, tokenHash CHAR(64) NOT NULL UNIQUE, email VARCHAR(190) NOT NULL,
    name VARCHAR(160) NOT NULL, role VARCHAR(20) NOT NULL, createdAt DATETIME(3) NOT NULL, createdBy CHAR(36) NOT NULL,
    expiresAt DATETIME(3) NOT NULL, INDEX (companyId), INDEX (expiresAt), FOREIGN KEY (companyId) REFERENCES company (id) ON DELETE CASCADE
  ) DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
  `CREATE TABLE IF NOT EXISTS password_reset (
    tokenHash CHAR(64) NOT NULL PRIMARY KEY, userId CHAR(36) NOT NULL, expiresAt DATETIME(3) NOT NULL, INDEX (expiresAt),
    FOREIGN KEY (userId) REFERENCES user (id) ON DELETE CASCADE
  ) DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
  `CREATE TABLE IF NOT EXISTS company_mark (
    id CHAR(36) NOT NULL PRIMARY KEY, companyId CHAR(36) NOT NULL, contentType VARCHAR(40) NOT NULL, bytes MEDIUMBLOB NOT NULL,
    createdAt DATETIME(3) NOT NULL, INDEX (companyId), FOREIGN KEY (companyId) REFERENCES company (id) ON DELETE CASCADE
  ) DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
];

/** Companies of one's own: people by invitation, sessions that are seen and ended, forgotten passwords, marks on paper. */
export class Accounts1766800000000 implements MigrationInterface {
  name = "Accounts1766800000000";

  async up(runner: QueryRunner): Promise<void> {
    for (const step of STEPS) await runner.query(step);
    await runner.query(
      "UPDATE company SET demo = TRUE WHERE id IN (SELECT companyId FROM user WHERE email IN (?, ?, ?))",
      DEMO_EMAILS,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ["company_mark", "password_reset", "invitation"]) await runner.query(`DROP TABLE ${table}`);
    await runner.query("DROP INDEX sign_in_attempt_resetAt ON sign_in_attempt");
    await runner.query("ALTER TABLE session DROP COLUMN createdAt, DROP COLUMN seenAt, DROP COLUMN device");
    await runner.query("ALTER TABLE user DROP COLUMN leftAt");
    await runner.query("ALTER TABLE company DROP COLUMN demo");
  }
}
