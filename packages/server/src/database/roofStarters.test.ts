import { randomUUID } from "node:crypto";
import { starterCompanySettings } from "@wide-porch/library";
import { ownDatabase } from "../testing/ownDatabase";
import { RoofStarters1764700000000 } from "./roofStarters";
import brought from "./starters/roof.json";

const database = ownDatabase();

describe("a company from before roofs", () => {
  it("gets what they are built by and how long they take, and keeps its own of the same name", async () => {
    await database.source().runMigrations();
    const runner = database.source().createQueryRunner();
    const companyId = randomUUID();
    const { pricing } = starterCompanySettings;
    const own = { id: "studs", name: "Our own studs", unit: "piece", hoursPerUnit: "0.5" };
    await runner.query("INSERT INTO company (id, name, settings) VALUES (?, 'Dunnock', ?)", [
      companyId,
      JSON.stringify({ ...starterCompanySettings, pricing: { ...pricing, tasks: [own] } }),
    ]);
    const migration = new RoofStarters1764700000000();
    await migration.up(runner);
    // Broken off and begun again, it does no harm.
    await migration.up(runner);
    const assemblies: { system: string }[] = await runner.query(
      "SELECT system FROM assembly WHERE companyId = ? AND id = 'rafter-roof' ORDER BY system",
      [companyId],
    );
    expect(assemblies.map(({ system }) => system)).toEqual(["imperial", "metric"]);
    const [row] = await runner.query("SELECT settings FROM company WHERE id = ?", [companyId]);
    const settings = typeof row.settings === "string" ? JSON.parse(row.settings) : row.settings;
    expect(settings.pricing.tasks[0]).toEqual(own);
    expect(settings.pricing.tasks).toHaveLength(brought.tasks.length);
    expect(settings.pricing.tasks.map(({ id }: { id: string }) => id)).toContain("rafters");
    await runner.release();
  });
});
