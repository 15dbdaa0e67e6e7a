import type { MigrationInterface, QueryRunner } from "typeorm";

/** Openings by unit size and by other places, and pictures on the quote: what there was is brought up to date as it is read. */
export class OpeningsAndPictures1764300000000 implements MigrationInterface {
  name = "OpeningsAndPictures1764300000000";

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      "UPDATE quote SET document = JSON_SET(document, '$.pictures', JSON_ARRAY()) WHERE JSON_EXISTS(document, '$.pictures') = 0",
    );
  }

  /** Nothing to take back: the tables are as they were. */
  async down(): Promise<void> {}
}
