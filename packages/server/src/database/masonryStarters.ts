import { starterAssemblies, starterPriceList } from "@wide-porch/library";
import type { MigrationInterface, QueryRunner } from "typeorm";

/** Masonry to build by, for companies from before there was any: what they have under the same name stays theirs. */
export class MasonryStarters1764500000000 implements MigrationInterface {
  name = "MasonryStarters1764500000000";

  async up(runner: QueryRunner): Promise<void> {
    const companies: { id: string }[] = await runner.query("SELECT id FROM company");
    for (const { id } of companies) {
      for (const each of starterAssemblies.filter(({ slot }) => slot === "masonry")) {
        await runner.query(
          "INSERT IGNORE INTO assembly (companyId, system, id, version, data, createdAt) VALUES (?, ?, ?, ?, ?, NOW(3))",
          [id, each.system, each.id, each.version, JSON.stringify(each)],
        );
      }
      for (const item of starterPriceList.filter(({ code }) => /^(masonry|mortar|lintel)\//.test(code))) {
        await runner.query("INSERT IGNORE INTO price_item (companyId, code, revision, data) VALUES (?, ?, 1, ?)", [
          id,
          item.code,
          JSON.stringify(item),
        ]);
      }
    }
  }

  /** Jobs may be built by them: they stay. */
  async down(): Promise<void> {}
}
