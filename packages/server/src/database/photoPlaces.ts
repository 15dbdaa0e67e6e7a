import type { MigrationInterface, QueryRunner } from "typeorm";

/** Photos whose bytes lie elsewhere have none here. Can be run again, where it was broken off. */
export class PhotoPlaces1766900000000 implements MigrationInterface {
  name = "PhotoPlaces1766900000000";

  async up(runner: QueryRunner): Promise<void> {
    await runner.query("ALTER TABLE photo MODIFY bytes MEDIUMBLOB NULL");
  }

  /** Photos that lie elsewhere would be lost: they stay as they are. */
  async down(): Promise<void> {}
}
