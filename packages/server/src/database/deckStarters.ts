import type { MigrationInterface, QueryRunner } from "typeorm";
import { bring } from "./starters/bring";
import brought from "./starters/deck.json";

/** Decks to build by, with what they are bought for and how long they take, for companies from before there were any. */
export class DeckStarters1766400000000 implements MigrationInterface {
  name = "DeckStarters1766400000000";

  async up(runner: QueryRunner): Promise<void> {
    await bring(runner, brought);
  }

  /** Jobs may be built by them: they stay. */
  async down(): Promise<void> {}
}
