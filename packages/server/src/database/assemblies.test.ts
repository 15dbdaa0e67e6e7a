import { randomUUID } from "node:crypto";
import { jobRecord, readStored, readStoredPart, startJob } from "@wide-porch/core";
import { starterCompanySettings } from "@wide-porch/library";
import { jsonOf, ownDatabase } from "../testing/ownDatabase";
import { newWall } from "../testing/testServer";
import { Assemblies1764200000000 } from "./assemblies";
import brought from "./starters/assemblies.json";

const database = ownDatabase();

/** A wall as it was stored before assemblies: six choices, no shape, no uses. */
function oldWall(id: string) {
  const { shape: _s, repeats: _r, assembly: _a, choices: _c, uses: _u, handSet: _h, ...rest } = newWall(id);
  const assumed = (value: number | string | boolean) => ({ value, assumed: true });
  const sheathed = { value: true, assumed: false };
  return {
    ...rest,
    schemaVersion: 2,
    parameters: {
      studSize: assumed("2x4"),
      spacingNm: assumed(406_400_000),
      bottomPlates: assumed(1),
      topPlates: assumed(2),
      bearing: assumed(false),
      sheathed,
    },
  };
}

describe("a database from before assemblies", () => {
  it("has its walls framed by one, its jobs cut by the usual saw, and the starters to build by", async () => {
    await database.source().runMigrations();
    const runner = database.source().createQueryRunner();
    const migration = new Assemblies1764200000000();
    await migration.down(runner);

    const [companyId, jobId, partId] = [randomUUID(), randomUUID(), randomUUID()];
    const start = { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
    const { cutting: _cutting, standard: _standard, ...job } = startJob(start, starterCompanySettings);
    const oldJob = JSON.stringify({ ...job, schemaVersion: 1 });
    const wall = JSON.stringify(oldWall(partId));
    await runner.query("INSERT INTO company (id, name, settings) VALUES (?, 'Dunnock', ?)", [
      companyId,
      JSON.stringify(starterCompanySettings),
    ]);
    await runner.query(
      "INSERT INTO job (id, companyId, revision, data, createdAt, updatedAt) VALUES (?, ?, 1, ?, NOW(3), NOW(3))",
      [jobId, companyId, oldJob],
    );
    await runner.query(
      `INSERT INTO part (id, companyId, jobId, revision, place, data, updatedAt, updatedBy) VALUES (?, ?, ?, 1, 1, ?, NOW(3), ?)`,
      [partId, companyId, jobId, wall, companyId],
    );

    await migration.up(runner);
    const read = async (table: string) => {
      const [row] = await runner.query(`SELECT data FROM ${table}`);
      return jsonOf(row.data);
    };
    expect(readStoredPart(await read("part"))).toMatchObject({
      ok: true,
      value: {
        schemaVersion: 6,
        assembly: { id: "outside-wall", version: 1 },
        shape: { how: "level" },
        repeats: 1,
        uses: [],
        choices: { sheathed: true },
      },
    });
    expect(readStored(jobRecord, await read("job"))).toMatchObject({
      ok: true,
      value: { schemaVersion: 6, standard: null, quote: { pictures: [] }, cutting: { yard: [] } },
    });
    const [{ count }] = await runner.query("SELECT COUNT(*) AS count FROM assembly WHERE companyId = ?", [companyId]);
    expect(Number(count)).toBe(brought.assemblies.length);
    await runner.release();
  });
});
