import type { MigrationInterface, QueryRunner } from "typeorm";
import brought from "./starters/assemblies.json";
import { bring } from "./starters/bring";

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
    await bring(runner, brought);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of ["house_standard", "assembly"]) await runner.query(`DROP TABLE ${name}`);
  }
}
