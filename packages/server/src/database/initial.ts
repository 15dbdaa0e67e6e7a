import type { MigrationInterface, QueryRunner } from "typeorm";

const TABLES = [
  `CREATE TABLE IF NOT EXISTS company (
    id CHAR(36) NOT NULL PRIMARY KEY, name VARCHAR(160) NOT NULL, settings JSON NOT NULL)`,
  `CREATE TABLE IF NOT EXISTS user (
    id CHAR(36) NOT NULL PRIMARY KEY, companyId CHAR(36) NOT NULL, email VARCHAR(190) NOT NULL UNIQUE,
    name VARCHAR(160) NOT NULL, role VARCHAR(20) NOT NULL, passwordHash VARCHAR(255) NOT NULL,
    FOREIGN KEY (companyId) REFERENCES company (id))`,
  `CREATE TABLE IF NOT EXISTS session (
    id CHAR(64) NOT NULL PRIMARY KEY, userId CHAR(36) NOT NULL, csrfToken CHAR(43) NOT NULL, expiresAt DATETIME NOT NULL,
    INDEX (expiresAt), FOREIGN KEY (userId) REFERENCES user (id) ON DELETE CASCADE)`,
  `CREATE TABLE IF NOT EXISTS sign_in_attempt (
    \`key\` VARCHAR(190) NOT NULL PRIMARY KEY, count INT NOT NULL, resetAt DATETIME NOT NULL)`,
  `CREATE TABLE IF NOT EXISTS job (
    id CHAR(36) NOT NULL PRIMARY KEY, companyId CHAR(36) NOT NULL, revision INT NOT NULL, data JSON NOT NULL,
    createdAt DATETIME(3) NOT NULL, updatedAt DATETIME(3) NOT NULL,
    INDEX (companyId, updatedAt), FOREIGN KEY (companyId) REFERENCES company (id))`,
  `CREATE TABLE IF NOT EXISTS command (
    companyId CHAR(36) NOT NULL, id CHAR(36) NOT NULL, target CHAR(36) NOT NULL, answer JSON NOT NULL,
    createdAt DATETIME(3) NOT NULL, PRIMARY KEY (companyId, id), INDEX (createdAt))`,
  `CREATE TABLE IF NOT EXISTS part (
    id CHAR(36) NOT NULL PRIMARY KEY, companyId CHAR(36) NOT NULL, jobId CHAR(36) NOT NULL, revision INT NOT NULL,
    place INT NOT NULL, data JSON NOT NULL, updatedAt DATETIME(3) NOT NULL, updatedBy CHAR(36) NOT NULL,
    binnedAt DATETIME(3) NULL, INDEX (companyId, jobId, place), FOREIGN KEY (jobId) REFERENCES job (id) ON DELETE CASCADE)`,
  `CREATE TABLE IF NOT EXISTS price_item (
    companyId CHAR(36) NOT NULL, code VARCHAR(80) NOT NULL, revision INT NOT NULL, data JSON NOT NULL,
    PRIMARY KEY (companyId, code), FOREIGN KEY (companyId) REFERENCES company (id))`,
  `CREATE TABLE IF NOT EXISTS quote (
    id CHAR(36) NOT NULL PRIMARY KEY, companyId CHAR(36) NOT NULL, jobId CHAR(36) NOT NULL, sequence INT NOT NULL,
    number VARCHAR(40) NOT NULL, issuedAt DATETIME(3) NOT NULL, issuedBy CHAR(36) NULL, total DECIMAL(14,2) NOT NULL,
    document JSON NOT NULL, snapshot JSON NULL, UNIQUE (companyId, jobId, sequence),
    FOREIGN KEY (jobId) REFERENCES job (id) ON DELETE CASCADE)`,
];

const NAMES = ["quote", "price_item", "part", "command", "job", "sign_in_attempt", "session", "user", "company"];

export class Initial1764000000000 implements MigrationInterface {
  name = "Initial1764000000000";

  async up(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) await runner.query(`${table} DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of NAMES) await runner.query(`DROP TABLE \`${name}\``);
  }
}
