import { randomUUID } from "node:crypto";
import type { DataSource } from "typeorm";
import { userEntity } from "../companies/entity";
import { allEndpoints } from "../endpoints";
import { type Endpoint, keyOf } from "../http/endpoint";
import type { Received } from "../http/received";
import type { SignedIn } from "../http/signedIn";
import { startSession } from "../sessions/store";
import { newWall, startTestServer, type TestServer } from "../testing/testServer";
import { createDataSource } from "./dataSource";

/** Statements as they went to the database, with their values. */
type Asked = { readonly query: string; readonly values: unknown[] };

const OTHERS = 120;
const JOBS_EACH = 40;

let server: TestServer;
let watched: DataSource;
const asked: Asked[] = [];
let signedIn: SignedIn;
let jobId: string;

beforeAll(async () => {
  server = await startTestServer();
  watched = createDataSource(server.config, 4);
  const note = (query: string, values?: unknown[]) => void asked.push({ query, values: values ?? [] });
  const nothing = () => undefined;
  const others = { logQueryError: nothing, logQuerySlow: nothing, logSchemaBuild: nothing, logMigration: nothing };
  watched.setOptions({ logging: ["query"], logger: { logQuery: note, log: nothing, ...others } });
  await watched.initialize();
  const user = await server.dataSource.getRepository(userEntity).findOneByOrFail({ email: "ros@fernhollow.example" });
  const from = { userAgent: "", device: undefined, signedIn: undefined };
  signedIn = (await startSession(server.dataSource, user, from, 30)).signedIn;
  const [job] = await server.dataSource.query("SELECT id FROM job WHERE companyId = ? LIMIT 1", [user.companyId]);
  jobId = job.id;
  await fill(user.companyId);
}, 120_000);
afterAll(async () => {
  await watched.destroy();
  await server.stop();
});

/** Many companies beside it, made of its own rows by the database itself. */
async function fill(companyId: string): Promise<void> {
  const query = (statement: string, values: unknown[] = []) => server.dataSource.query(statement, values);
  await query("CREATE TABLE other (n INT PRIMARY KEY, id CHAR(36) NOT NULL)");
  await query("INSERT INTO other SELECT seq, UUID() FROM seq_1_to_120");
  await query(
    "INSERT INTO company (id, name, settings, demo) SELECT other.id, 'Other', settings, FALSE FROM other, company WHERE company.id = ?",
    [companyId],
  );
  await query(
    `INSERT INTO user (id, companyId, email, name, role, passwordHash)
     SELECT UUID(), id, CONCAT('other-', n, '@example.com'), 'Other', 'owner', '' FROM other`,
  );
  await query(
    `INSERT INTO job (id, companyId, revision, changeNumber, data, createdAt, updatedAt)
     SELECT UUID(), other.id, 1, 1, JSON_OBJECT('title', CONCAT('Job ', seq), 'customerName', 'C', 'site', '', 'schemaVersion', 0), NOW(3), NOW(3)
     FROM other, seq_1_to_${JOBS_EACH}`,
  );
  await query(
    `INSERT INTO part (id, companyId, jobId, revision, changeNumber, place, data, updatedAt, updatedBy)
     SELECT UUID(), companyId, id, 1, 1, seq, '{}', NOW(3), '' FROM job, seq_1_to_3 WHERE companyId <> ?`,
    [companyId],
  );
  await query(
    `INSERT INTO part_version (companyId, jobId, partId, revision, how, data, at, byUserId)
     SELECT companyId, jobId, id, 1, 'saved', '{}', NOW(3), '' FROM part WHERE companyId <> ?`,
    [companyId],
  );
  await query(
    "INSERT INTO price_item (companyId, code, revision, data) SELECT other.id, code, 1, '{}' FROM other, price_item WHERE companyId = ? AND n <= 40",
    [companyId],
  );
  await query(
    `INSERT INTO price_item_version (companyId, code, revision, data, at)
     SELECT companyId, code, 1, '{}', NOW(3) FROM price_item WHERE companyId <> ?`,
    [companyId],
  );
  await query(
    "INSERT INTO assembly (companyId, system, id, version, data, retired, createdAt) SELECT other.id, system, assembly.id, version, '{}', FALSE, NOW(3) FROM other, assembly WHERE companyId = ? AND n <= 40",
    [companyId],
  );
  const tables = ["company", "user", "job", "part", "part_version", "price_item", "price_item_version", "assembly"];
  await query(`ANALYZE TABLE ${tables.join(", ")}`);
}

const received = (params: Received["params"], more: Partial<Received> = {}): Received => ({
  params,
  query: {},
  body: undefined,
  ifNoneMatch: undefined,
  commandId: undefined,
  userAgent: "",
  place: "127.0.0.1",
  device: undefined,
  signedIn,
  ...more,
});

const FEW_ROWS = 20;
const MOST_ROWS = 2000;

type Plan = { table: string; type: string; key: string | null; rows: string };

/** What the database would look at for a statement: tables that it reads whole, or more rows of than one company has. */
async function wide({ query, values }: Asked): Promise<string[]> {
  const plans: Plan[] = await server.dataSource.query(`EXPLAIN ${query}`, values);
  const large = plans.filter(({ table, type, rows }) => {
    const isOwn = table === null || /^<|dummy_table/.test(table);
    // A handful of rows is read whole by any database.
    const isWhole = (type === "ALL" || type === "index") && Number(rows) > FEW_ROWS;
    return !isOwn && (isWhole || Number(rows) > MOST_ROWS);
  });
  return large.map(({ table, type, rows }) => `${table} ${type} ${rows} rows: ${query.slice(0, 200)}`);
}

const isRead = ({ query }: Asked): boolean =>
  /^\s*(SELECT|UPDATE|DELETE)/i.test(query) && !/^SELECT VERSION/i.test(query);

describe("among many companies", () => {
  const wall = newWall();
  it.each<[string, () => Received]>([
    ["get /jobs", () => received({}, { query: {} })],
    ["get /jobs", () => received({}, { query: { find: "lantern", sort: "total" } })],
    ["get /jobs/:jobId", () => received({ jobId })],
    ["get /jobs/:jobId/changes", () => received({ jobId }, { query: { since: "0" } })],
    ["get /jobs/:jobId/prices", () => received({ jobId })],
    ["get /jobs/:jobId/price", () => received({ jobId })],
    ["get /jobs/:jobId/quotes", () => received({ jobId })],
    ["get /price-list", () => received({})],
    ["get /assemblies", () => received({})],
    ["get /events", () => received({})],
    ["get /company/safety", () => received({})],
    ["get /people", () => received({})],
    ["get /deleted-jobs", () => received({})],
    [
      "put /jobs/:jobId/parts/:partId",
      () => received({ jobId, partId: wall.id }, { body: { commandId: randomUUID(), baseRevision: 0, part: wall } }),
    ],
    ["get /jobs/:jobId/parts/:partId/history", () => received({ jobId, partId: wall.id })],
    [
      "post /session",
      () => received({}, { signedIn: undefined as never, body: { email: "x@y.example", password: "x" } }),
    ],
  ])("%s reads by an index, and no more than a company has", async (key, request) => {
    const endpoints: readonly Endpoint[] = allEndpoints(watched, server.config, server.services);
    const endpoint = endpoints.find((each) => keyOf(each) === key);
    if (!endpoint) throw new Error(`there is no ${key}`);
    asked.length = 0;
    await endpoint.run(request()).catch((error: unknown) => {
      if (key !== "post /session") throw error;
    });
    const reads = asked.filter(isRead);
    expect(reads.length).toBeGreaterThan(0);
    const found: string[] = [];
    for (const each of reads) found.push(...(await wide(each)));
    expect(found).toEqual([]);
  });

  it("whoever is signed in is found by indexes alone", async () => {
    const plans: Plan[] = await server.dataSource.query(
      `EXPLAIN SELECT session.id FROM session JOIN user ON user.id = session.userId JOIN company ON company.id = user.companyId
       WHERE session.id = 'x'`,
    );
    expect(plans.every(({ type }) => type !== "ALL")).toBe(true);
    expect(OTHERS * JOBS_EACH).toBeGreaterThan(4000);
  });
});
