import type { MigrationInterface, QueryRunner } from "typeorm";
import { bring } from "./starters/bring";
import brought from "./starters/ground.json";

/** Foundations to build by and waterproofing, with what they are bought for and how long they take, for companies from before there were any. */
export class GroundStarters1765000000000 implements MigrationInterface {
  name = "GroundStarters1765000000000";

  async up(runner: QueryRunner): Promise<void> {
    await bring(runner, brought);
  }

  /** Jobs may be built by them: they stay. */
  async down(): Promise<void> {}
}
