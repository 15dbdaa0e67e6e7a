import type { MigrationInterface, QueryRunner } from "typeorm";
import { addStarters } from "./starters";

/** Roofs to build by, and the assemblies for surfaces and storeys, for companies from before there were any. */
export class RoofStarters1764700000000 implements MigrationInterface {
  name = "RoofStarters1764700000000";

  async up(runner: QueryRunner): Promise<void> {
    await addStarters(runner);
  }

  /** Jobs may be built by them: they stay. */
  async down(): Promise<void> {}
}
