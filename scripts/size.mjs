import { randomUUID } from "node:crypto";
import { mkdtempSync, rmSync } from "node:fs";
import { createRequire } from "node:module";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { signedIn } from "./lib/api.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { startMariadb } from "./lib/mariadb.mjs";
import { inRoot } from "./lib/paths.mjs";
import { endChild } from "./lib/run.mjs";
import { startServer } from "./lib/server.mjs";
import { percentile } from "./lib/timing.mjs";

/**
 * `npm run size -- 500 50`: so many companies with so many jobs each, copies of the demo's own, and what one company feels of the others: signing in,
 * list, search, open and save, alone and among them. Says what a company takes on the disk.
 */
const [companies = "500", jobsEach = "50"] = process.argv.slice(2);
const COMPANIES = Number(companies);
const JOBS_EACH = Number(jobsEach);
const ROUNDS = 40;
const AIM = 1.5;
const AT_ONCE = 50;
const OWNER = { email: "ros@fernhollow.example", password: "porch-demo-2026" };

const { createConnection } = createRequire(inRoot("packages/server/package.json"))("mysql2/promise");
const folder = mkdtempSync(join(tmpdir(), "wide-porch-size-"));

async function timed(ask) {
  const times = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const from = performance.now();
    const answer = await ask(round);
    await answer.arrayBuffer();
    if (answer.status >= 400) throw new Error(`size: answered ${answer.status}`);
    times.push(performance.now() - from);
  }
  // The first are the database's own warming up.
  return percentile(times.slice(5), 0.5);
}

/** What one company does all day, each with its median. */
async function felt(api) {
  const person = await signedIn(api, OWNER);
  const { items } = await (await person.get("/jobs?find=Bramblegate")).json();
  const [{ id }] = items;
  const { parts } = await (await person.get(`/jobs/${id}`)).json();
  const [part] = parts;
  let { revision } = part;
  const save = async () => {
    const body = { commandId: randomUUID(), baseRevision: revision, part: { ...part.part, name: `Size ${revision}` } };
    const answer = await person.put(`/jobs/${id}/parts/${part.id}`, body);
    revision += 1;
    return answer;
  };
  const signIn = () =>
    fetch(`${api}/session`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(OWNER),
    });
  return {
    "sign in": await timed(signIn),
    "list of jobs": await timed(() => person.get("/jobs")),
    search: await timed(() => person.get("/jobs?find=cellar%20vander")),
    "open a job": await timed((round) => person.get(`/jobs/${id}?known=${round}`)),
    "save a part": await timed(save),
  };
}

/** Copies of the demo's company, made by the database itself, some companies at a time. */
async function fill(connection) {
  const run = async (statement, values = []) => (await connection.query(statement, values))[0];
  const [{ id: demo }] = await run("SELECT id FROM company WHERE demo = TRUE");
  await run("SET SESSION foreign_key_checks = 0, unique_checks = 0");
  await run("CREATE TABLE size_company (n INT PRIMARY KEY, id CHAR(36) NOT NULL)");
  await run("CREATE TABLE size_job (id CHAR(36) PRIMARY KEY, companyId CHAR(36) NOT NULL, ofJob CHAR(36) NOT NULL)");
  const kept = await run("SELECT id FROM job WHERE companyId = ?", [demo]);
  for (let from = 1; from <= COMPANIES; from += AT_ONCE) {
    const to = Math.min(COMPANIES, from + AT_ONCE - 1);
    await run("TRUNCATE size_job");
    await run("TRUNCATE size_company");
    await run(`INSERT INTO size_company SELECT seq, UUID() FROM seq_${from}_to_${to}`);
    await run(
      "INSERT INTO company (id, name, settings, demo) SELECT c.id, CONCAT('Company ', n), settings, FALSE FROM size_company c, company WHERE company.id = ?",
      [demo],
    );
    await run(
      `INSERT INTO user (id, companyId, email, name, role, passwordHash, leftAt) SELECT UUID(), c.id, CONCAT(n, '-', user.email), name, role, passwordHash, NULL
       FROM size_company c, user WHERE companyId = ?`,
      [demo],
    );
    await run(
      "INSERT INTO price_item (companyId, code, revision, data) SELECT c.id, code, revision, data FROM size_company c, price_item WHERE companyId = ?",
      [demo],
    );
    await run(
      `INSERT INTO assembly (companyId, system, id, version, data, retired, createdAt, createdBy, results)
       SELECT c.id, system, assembly.id, version, data, retired, createdAt, createdBy, results FROM size_company c, assembly WHERE companyId = ?`,
      [demo],
    );
    for (const [index, { id }] of kept.entries()) {
      const each = Math.ceil((JOBS_EACH - index) / kept.length);
      await run(`INSERT INTO size_job SELECT UUID(), id, ? FROM size_company, seq_1_to_${each}`, [id]);
    }
    await run(
      `INSERT INTO job (id, companyId, revision, changeNumber, data, createdAt, updatedAt)
       SELECT j.id, j.companyId, revision, changeNumber, data, createdAt, updatedAt FROM size_job j JOIN job ON job.id = j.ofJob`,
    );
    await run(
      `INSERT INTO part (id, companyId, jobId, revision, changeNumber, place, data, updatedAt, updatedBy)
       SELECT UUID(), j.companyId, j.id, revision, changeNumber, place, data, updatedAt, updatedBy FROM size_job j JOIN part ON part.jobId = j.ofJob`,
    );
    await run(
      `INSERT INTO part_version (companyId, jobId, partId, revision, how, data, at, byUserId)
       SELECT companyId, jobId, id, revision, 'saved', data, updatedAt, updatedBy FROM part WHERE jobId IN (SELECT id FROM size_job)`,
    );
    if (to % 500 === 0 || to === COMPANIES) console.log(`${to} companies`);
  }
  await run("DROP TABLE size_job");
  await run("DROP TABLE size_company");
  await run("ANALYZE TABLE company, user, job, part, part_version, price_item, assembly");
  const sizes = await run(
    "SELECT table_name AS name, (data_length + index_length) / 1e6 AS mb FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY mb DESC",
  );
  const all = sizes.reduce((sum, { mb }) => sum + Number(mb), 0);
  console.log(`on the disk ${all.toFixed(0)} MB, ${(all / COMPANIES).toFixed(1)} MB a company of ${JOBS_EACH} jobs:`);
  for (const { name, mb } of sizes.slice(0, 6)) console.log(`  ${name} ${(Number(mb) / COMPANIES).toFixed(2)} MB`);
}

await ensurePackages();
const database = await startMariadb(folder, undefined, [
  "--innodb-flush-log-at-trx-commit=2",
  "--innodb-buffer-pool-size=2G",
]);
let server;
try {
  const environment = { ...database.environment, PORT: "0", WIDE_PORCH_DEMO: "1", LOG_LEVEL: "error" };
  server = await startServer(environment);
  const api = `http://127.0.0.1:${server.port}/api/v1`;
  const alone = await felt(api);
  const connection = await createConnection({
    host: "127.0.0.1",
    port: Number(environment.WIDE_PORCH_DB_PORT),
    user: environment.WIDE_PORCH_DB_USER,
    password: environment.WIDE_PORCH_DB_PASSWORD,
    database: environment.WIDE_PORCH_DB_NAME,
  });
  await fill(connection);
  await connection.end();
  const among = await felt(api);
  for (const [name, before] of Object.entries(alone)) {
    const after = among[name];
    console.log(
      `${name.padEnd(20)} alone ${before.toFixed(1)} ms, among ${COMPANIES} companies ${after.toFixed(1)} ms: ${(after / before).toFixed(2)} times  (aim: ${AIM})`,
    );
  }
} finally {
  if (server) await endChild(server.child);
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
