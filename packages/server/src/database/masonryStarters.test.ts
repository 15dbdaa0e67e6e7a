import { randomUUID } from "node:crypto";
import { starterCompanySettings } from "@wide-porch/library";
import { ownDatabase } from "../testing/ownDatabase";
import { MasonryStarters1764500000000 } from "./masonryStarters";

const database = ownDatabase();

describe("a company from before masonry", () => {
  it("gets what masonry is built by and bought for, and keeps its own of the same name", async () => {
    await database.source().runMigrations();
    const runner = database.source().createQueryRunner();
    const companyId = randomUUID();
    await runner.query("INSERT INTO company (id, name, settings) VALUES (?, 'Dunnock', ?)", [
      companyId,
      JSON.stringify(starterCompanySettings),
    ]);
    const own = JSON.stringify({ name: "Our own" });
    await runner.query(
      "INSERT INTO assembly (companyId, system, id, version, data, createdAt) VALUES (?, 'metric', 'brick-wall', 1, ?, NOW(3))",
      [companyId, own],
    );
    const migration = new MasonryStarters1764500000000();
    await migration.up(runner);
    // Broken off and begun again, it does no harm.
    await migration.up(runner);
    const rows: { system: string; id: string; data: string }[] = await runner.query(
      "SELECT system, id, data FROM assembly WHERE companyId = ? ORDER BY system, id",
      [companyId],
    );
    expect(rows.filter((row) => row.id === "cavity-wall").map((row) => row.system)).toEqual(["imperial", "metric"]);
    expect(rows.find((row) => row.id === "brick-wall" && row.system === "metric")?.data).toEqual({ name: "Our own" });
    const [priced] = await runner.query("SELECT COUNT(*) AS n FROM price_item WHERE companyId = ? AND code = ?", [
      companyId,
      "masonry/brick-215",
    ]);
    expect(Number(priced.n)).toBe(1);
    await runner.release();
  });
});
