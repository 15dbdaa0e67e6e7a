import { randomUUID } from "node:crypto";
import { jobRecord, quoteDocumentRecord, readStored, readStoredPart, startJob } from "@wide-porch/core";
import { starterCompanySettings } from "@wide-porch/library";
import { jsonOf, ownDatabase } from "../testing/ownDatabase";
import { newWall } from "../testing/testServer";
import { OpeningsAndPictures1764300000000 } from "./openingsAndPictures";

const database = ownDatabase();

const dimension = (valueNm: number) => ({ valueNm, typed: "", assumed: false });

/** A wall as it was stored when every opening was rough and measured from the left end. */
function oldWall(id: string) {
  const rest = newWall(id);
  const before = { spacingNm: { value: 304_800_000, assumed: false }, topPlates: { value: 2, assumed: true } };
  const opening = {
    id: "d",
    kind: "door",
    name: "Door 1",
    width: dimension(965_200_000),
    height: dimension(2_095_500_000),
    sill: dimension(0),
    position: dimension(609_600_000),
  };
  return { ...rest, schemaVersion: 3, parameters: before, openings: [opening] };
}

function oldJob() {
  const start = { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
  const job = startJob(start, starterCompanySettings);
  const { pictures: _pictures, ...quote } = job.quote;
  return { ...job, schemaVersion: 2, quote };
}

/** A quote as it was issued when there were no pictures. */
const oldQuote = {
  schemaVersion: 1,
  number: "2026-0001",
  date: "2026-11-01",
  validUntil: "2026-12-01",
  company: { name: "Dunnock", address: "" },
  customer: { name: "C", site: "" },
  title: "T",
  currency: "USD",
  intro: "",
  sections: [],
  priceBeforeTax: "1.00",
  tax: { name: "Tax", percent: "0", amount: "0.00" },
  total: "1.00",
  exclusions: [],
  notes: [],
  terms: "",
};

describe("a database from before unit sizes and pictures", () => {
  it("has rough openings from the left end, jobs without pictures, and its quotes as they were issued", async () => {
    await database.source().runMigrations();
    const runner = database.source().createQueryRunner();
    const [companyId, jobId, partId, quoteId] = [randomUUID(), randomUUID(), randomUUID(), randomUUID()];
    const put = (statement: string, ...values: unknown[]) => runner.query(statement, values);
    await put(
      "INSERT INTO company (id, name, settings) VALUES (?, 'Dunnock', ?)",
      companyId,
      JSON.stringify(starterCompanySettings),
    );
    await put(
      "INSERT INTO job (id, companyId, revision, data, createdAt, updatedAt) VALUES (?, ?, 1, ?, NOW(3), NOW(3))",
      jobId,
      companyId,
      JSON.stringify(oldJob()),
    );
    await put(
      `INSERT INTO part (id, companyId, jobId, revision, place, data, updatedAt, updatedBy)
       VALUES (?, ?, ?, 1, 1, ?, NOW(3), ?)`,
      partId,
      companyId,
      jobId,
      JSON.stringify(oldWall(partId)),
      companyId,
    );
    await put(
      `INSERT INTO quote (id, companyId, jobId, sequence, number, issuedAt, total, document)
       VALUES (?, ?, ?, 1, '2026-0001', NOW(3), 1, ?)`,
      quoteId,
      companyId,
      jobId,
      JSON.stringify(oldQuote),
    );

    const migration = new OpeningsAndPictures1764300000000();
    await migration.up(runner);
    const read = async (table: string, column: string) => {
      const [row] = await runner.query(`SELECT ${column} AS data FROM ${table}`);
      return jsonOf(row.data);
    };
    expect(readStoredPart(await read("part", "data"))).toMatchObject({
      ok: true,
      value: {
        schemaVersion: 6,
        openings: [{ name: "Door 1", measuredAs: "rough", along: "from-left" }],
        choices: { spacing: 304_800_000 },
      },
    });
    expect(readStored(jobRecord, await read("job", "data"))).toMatchObject({
      ok: true,
      value: { schemaVersion: 6, quote: { pictures: [] } },
    });
    const document = await read("quote", "document");
    expect(document).toEqual({ ...oldQuote, pictures: [] });
    expect(readStored(quoteDocumentRecord, document)).toMatchObject({ value: { total: "1.00", options: [] } });

    // Run again, as after a crash half-way, it changes nothing.
    await migration.up(runner);
    expect(await read("quote", "document")).toEqual(document);
    await runner.release();
  });
});
