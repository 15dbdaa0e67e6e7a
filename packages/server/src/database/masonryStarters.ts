import type { MigrationInterface, QueryRunner } from "typeorm";
import { bring } from "./starters/bring";
import brought from "./starters/masonry.json";

/** Masonry to build by, for companies from before there was any: what they have under the same name stays theirs. */
export class MasonryStarters1764500000000 implements MigrationInterface {
  name = "MasonryStarters1764500000000";

  async up(runner: QueryRunner): Promise<void> {
    await bring(runner, brought);
  }

  /** Jobs may be built by them: they stay. */
  async down(): Promise<void> {}
}
