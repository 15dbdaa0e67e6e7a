import { randomUUID } from "node:crypto";
import { readStoredPart } from "@wide-porch/core";
import { jsonOf, ownDatabase } from "../testing/ownDatabase";
import { newWall } from "../testing/testServer";
import { SiteMeasuring1764100000000 } from "./siteMeasuring";

const database = ownDatabase();

/** A wall as it was stored before parts had notes, photos and a place on the plan. */
function oldWall(id: string) {
  const { plan: _plan, ends: _ends, meetings: _meetings, notes: _notes, photos: _photos, ...rest } = newWall(id);
  return { ...rest, schemaVersion: 1, storey: "" };
}

describe("a database from before rooms", () => {
  it("has its walls lifted, with a first version in their history, and goes back", async () => {
    await database.source().runMigrations();
    const runner = database.source().createQueryRunner();
    const migration = new SiteMeasuring1764100000000();
    await migration.down(runner);
    const ids = { company: randomUUID(), job: randomUUID(), wall: randomUUID() };
    await runner.query("INSERT INTO company (id, name, settings) VALUES (?, 'C', '{}')", [ids.company]);
    await runner.query(
      "INSERT INTO job (id, companyId, revision, data, createdAt, updatedAt) VALUES (?, ?, 1, '{}', NOW(), NOW())",
      [ids.job, ids.company],
    );
    await runner.query(
      `INSERT INTO part (id, companyId, jobId, revision, place, data, updatedAt, updatedBy)
       VALUES (?, ?, ?, 4, 1, ?, NOW(), ?)`,
      [ids.wall, ids.company, ids.job, JSON.stringify(oldWall(ids.wall)), randomUUID()],
    );

    await migration.up(runner);
    const [part] = await runner.query("SELECT data FROM part WHERE id = ?", [ids.wall]);
    const data = jsonOf(part.data);
    expect(readStoredPart(data)).toEqual({ ok: true, value: { ...newWall(ids.wall), storey: "Ground" } });

    // Run again, as after a crash half-way, it doubles nothing.
    await migration.up(runner);
    const versions = await runner.query("SELECT revision, how FROM part_version WHERE partId = ?", [ids.wall]);
    expect(versions).toMatchObject([{ revision: 4, how: "saved" }]);
    await runner.release();
  });
});
