import type { MigrationInterface, QueryRunner } from "typeorm";

const TABLE = "DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci";
/** Addresses, tokens and the names of limits are told apart by their bytes: `é` is not `e`, and a blank at the end counts. */
const BY_BYTES = "CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin";

/** Each can be run again, where it was broken off. */
const STEPS = [
  `ALTER TABLE user MODIFY email VARCHAR(190) ${BY_BYTES} NOT NULL`,
  `ALTER TABLE invitation MODIFY email VARCHAR(190) ${BY_BYTES} NOT NULL`,
  `ALTER TABLE invitation MODIFY tokenHash CHAR(64) ${BY_BYTES} NOT NULL`,
  `ALTER TABLE password_reset MODIFY tokenHash CHAR(64) ${BY_BYTES} NOT NULL`,
  `ALTER TABLE session MODIFY id CHAR(64) ${BY_BYTES} NOT NULL`,
  `ALTER TABLE sign_in_attempt MODIFY \`key\` VARCHAR(190) ${BY_BYTES} NOT NULL`,
  // People from before have their address by an invitation or because they began: it counts.
  "ALTER TABLE user ADD COLUMN IF NOT EXISTS addressConfirmed BOOLEAN NOT NULL DEFAULT TRUE",
  "ALTER TABLE user ADD COLUMN IF NOT EXISTS deviceKey CHAR(43) NOT NULL DEFAULT ''",
  "ALTER TABLE session ADD COLUMN IF NOT EXISTS deviceHash CHAR(64) NOT NULL DEFAULT ''",
  `ALTER TABLE invitation ADD COLUMN IF NOT EXISTS letterHash CHAR(64) ${BY_BYTES} NULL UNIQUE`,
  `CREATE TABLE IF NOT EXISTS known_device (
    userId CHAR(36) NOT NULL, deviceHash CHAR(64) NOT NULL, firstSeen DATETIME NOT NULL, seenAt DATETIME NOT NULL,
    PRIMARY KEY (userId, deviceHash), INDEX (seenAt), FOREIGN KEY (userId) REFERENCES user (id) ON DELETE CASCADE) ${TABLE}`,
  `CREATE TABLE IF NOT EXISTS second_factor (
    userId CHAR(36) NOT NULL PRIMARY KEY, secret VARCHAR(64) NOT NULL, confirmedAt DATETIME NULL, lastStep BIGINT NOT NULL DEFAULT 0,
    FOREIGN KEY (userId) REFERENCES user (id) ON DELETE CASCADE) ${TABLE}`,
  `CREATE TABLE IF NOT EXISTS recovery_code (
    userId CHAR(36) NOT NULL, codeHash CHAR(64) NOT NULL, PRIMARY KEY (userId, codeHash),
    FOREIGN KEY (userId) REFERENCES user (id) ON DELETE CASCADE) ${TABLE}`,
  `CREATE TABLE IF NOT EXISTS entry_to_confirm (
    tokenHash CHAR(64) ${BY_BYTES} NOT NULL PRIMARY KEY, email VARCHAR(190) ${BY_BYTES} NOT NULL, wanted JSON NOT NULL,
    expiresAt DATETIME(3) NOT NULL, INDEX (email), INDEX (expiresAt)) ${TABLE}`,
  `CREATE TABLE IF NOT EXISTS event (
    id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY, companyId CHAR(36) NOT NULL, at DATETIME(3) NOT NULL, what VARCHAR(40) NOT NULL,
    userId CHAR(36) NULL, who VARCHAR(160) NOT NULL, place VARCHAR(60) NOT NULL, device VARCHAR(300) NOT NULL, about VARCHAR(300) NOT NULL,
    INDEX (companyId, id), INDEX (at), FOREIGN KEY (companyId) REFERENCES company (id) ON DELETE CASCADE) ${TABLE}`,
  // What a company asks of those who sign in. `changes` is written wherever its row is locked, so that two servers of a cluster meet there.
  "ALTER TABLE company ADD COLUMN IF NOT EXISTS changes INT NOT NULL DEFAULT 0",
  "ALTER TABLE company ADD COLUMN IF NOT EXISTS secondFactorForAll BOOLEAN NOT NULL DEFAULT FALSE",
  "ALTER TABLE company ADD COLUMN IF NOT EXISTS idleHours INT NULL",
  "ALTER TABLE company ADD COLUMN IF NOT EXISTS longestDays INT NULL",
  "ALTER TABLE job ADD COLUMN IF NOT EXISTS binnedAt DATETIME(3) NULL",
  "ALTER TABLE job ADD COLUMN IF NOT EXISTS binnedBy CHAR(36) NULL",
  "CREATE INDEX IF NOT EXISTS job_binnedAt ON job (binnedAt)",
  "ALTER TABLE job_total ADD COLUMN IF NOT EXISTS build VARCHAR(16) NOT NULL DEFAULT ''",
  "ALTER TABLE job_total ADD COLUMN IF NOT EXISTS formerTotal DECIMAL(16, 2) NULL",
  "ALTER TABLE photo ADD COLUMN IF NOT EXISTS byteLength INT NOT NULL DEFAULT 0",
  "UPDATE photo SET byteLength = LENGTH(bytes) WHERE bytes IS NOT NULL AND byteLength = 0",
  "CREATE INDEX IF NOT EXISTS photo_room ON photo (companyId, byteLength)",
  "CREATE INDEX IF NOT EXISTS part_version_at ON part_version (jobId, at)",
  `CREATE TABLE IF NOT EXISTS server_lock (
    name VARCHAR(60) NOT NULL PRIMARY KEY, holder CHAR(36) NOT NULL, until DATETIME(3) NOT NULL) ${TABLE}`,
];

const TABLES = ["server_lock", "event", "entry_to_confirm", "recovery_code", "second_factor", "known_device"];

/** Addresses by their bytes, second factors, devices that are known, a log, jobs that are deleted, room that is counted. */
export class Guarded1767000000000 implements MigrationInterface {
  name = "Guarded1767000000000";

  async up(runner: QueryRunner): Promise<void> {
    for (const step of STEPS) await runner.query(step);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) await runner.query(`DROP TABLE ${table}`);
    await runner.query("DROP INDEX part_version_at ON part_version");
    await runner.query("ALTER TABLE photo DROP INDEX photo_room, DROP COLUMN byteLength");
    await runner.query("ALTER TABLE job_total DROP COLUMN build, DROP COLUMN formerTotal");
    await runner.query("ALTER TABLE job DROP INDEX job_binnedAt, DROP COLUMN binnedAt, DROP COLUMN binnedBy");
    await runner.query(
      "ALTER TABLE company DROP COLUMN changes, DROP COLUMN secondFactorForAll, DROP COLUMN idleHours, DROP COLUMN longestDays",
    );
    await runner.query("ALTER TABLE invitation DROP COLUMN letterHash");
    await runner.query("ALTER TABLE session DROP COLUMN deviceHash");
    await runner.query("ALTER TABLE user DROP COLUMN addressConfirmed, DROP COLUMN deviceKey");
  }
}
