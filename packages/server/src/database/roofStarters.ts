import type { MigrationInterface, QueryRunner } from "typeorm";
import { bring } from "./starters/bring";
import brought from "./starters/roof.json";

/** Roofs to build by, and the assemblies for surfaces and storeys, for companies from before there were any. */
export class RoofStarters1764700000000 implements MigrationInterface {
  name = "RoofStarters1764700000000";

  async up(runner: QueryRunner): Promise<void> {
    await bring(runner, brought);
  }

  /** Jobs may be built by them: they stay. */
  async down(): Promise<void> {}
}
