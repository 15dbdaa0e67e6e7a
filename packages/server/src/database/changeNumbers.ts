import type { MigrationInterface, QueryRunner } from "typeorm";

/** A number for each change of a job, and of each part the number it was last changed by: what a device has not seen yet is asked by it. */
export class ChangeNumbers1764600000000 implements MigrationInterface {
  name = "ChangeNumbers1764600000000";

  /** Can be run again, so that one that was broken off goes on at the next start. What is there already counts as seen by nobody. */
  async up(runner: QueryRunner): Promise<void> {
    await runner.query("ALTER TABLE job ADD COLUMN IF NOT EXISTS changeNumber INT NOT NULL DEFAULT 1");
    await runner.query("ALTER TABLE part ADD COLUMN IF NOT EXISTS changeNumber INT NOT NULL DEFAULT 1");
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query("ALTER TABLE part DROP COLUMN changeNumber");
    await runner.query("ALTER TABLE job DROP COLUMN changeNumber");
  }
}
