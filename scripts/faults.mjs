import { randomUUID } from "node:crypto";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { signedIn } from "./lib/api.mjs";
import { startCluster } from "./lib/cluster.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { keepRunning } from "./lib/keepRunning.mjs";
import { startMariadb } from "./lib/mariadb.mjs";
import { endChild } from "./lib/run.mjs";
import { startServer } from "./lib/server.mjs";

/**
 * `npm run faults -- 1000 20`: so many acknowledged changes through so many kills of server and database, with requests that are cut off and
 * sent twice. Says how many were lost, doubled or torn, and fails where one was. With `--cluster`: two servers over three nodes of a database.
 */
const IN_CLUSTER = process.argv.includes("--cluster");
const [changes = "1000", kills = "20"] = process.argv.slice(2).filter((each) => !each.startsWith("--"));
const CHANGES = Number(changes);
const KILLS = Number(kills);
const WRITERS = 4;
const PARTS_EACH = 3;
const OWNER = { email: "ros@fernhollow.example", password: "porch-demo-2026" };
const AT_ONCE_AGAIN = { pauses: Array.from({ length: 20 }, () => 100), steadyMs: 0, say: () => undefined };

const folder = mkdtempSync(join(tmpdir(), "wide-porch-faults-"));
const anyOf = (all) => all[Math.floor(Math.random() * all.length)];

/** Two servers over three nodes: each change may meet another server than the one before, and is seen there. */
async function beginCluster() {
  await ensurePackages();
  const cluster = await startCluster(folder);
  const kill = {
    server: () => cluster.killServer(),
    database: async () => {
      if (!(await cluster.killNode())) throw new Error("a node is down already");
    },
  };
  return { api: `${cluster.address}/api/v1`, kill, stop: cluster.stop };
}

async function begin() {
  await ensurePackages();
  let databasePort;
  const database = await keepRunning(
    "The database",
    async () => {
      const begun = await startMariadb(folder, databasePort);
      databasePort = begun.port;
      return begun;
    },
    AT_ONCE_AGAIN,
  );
  let server;
  let port = "0";
  const running = await keepRunning(
    "The server",
    async () => {
      server = await startServer({
        ...database.first.environment,
        PORT: port,
        WIDE_PORCH_DEMO: "1",
        LOG_LEVEL: "silent",
      });
      port = String(server.port);
      const { child } = server;
      return { gone: new Promise((resolve) => child.once("exit", resolve)), stop: () => endChild(child) };
    },
    AT_ONCE_AGAIN,
  );
  const kill = {
    server: () => server.child.kill("SIGKILL"),
    database: () => process.kill(JSON.parse(readFileSync(join(folder, "running.json"), "utf8")).pid, "SIGKILL"),
  };
  const stop = async () => {
    await running.stop();
    await database.stop();
  };
  return { api: `http://127.0.0.1:${port}/api/v1`, kill, stop };
}

/** Asks until there is an answer that is one: what is away comes back. */
async function untilAnswered(ask) {
  for (let tries = 0; tries < 600; tries += 1) {
    try {
      const answer = await ask();
      // An answer that breaks off half-way is none.
      const body = await answer.json();
      if (answer.status < 500) return { status: answer.status, body };
    } catch {
      // Not there, or gone while it answered.
    }
    await pause(100);
  }
  throw new Error("faults: no answer in a minute");
}

/** One change, sent as a phone in the rain would: sometimes cut off, sometimes twice at once, and again until it is acknowledged. */
async function acknowledged(person, path, body) {
  const send = (signal) => person.ask("PUT", path, body, {}, signal);
  if (Math.random() < 0.15) {
    const cut = new AbortController();
    setTimeout(() => cut.abort(), Math.random() * 15);
    await send(cut.signal).catch(() => undefined);
  }
  if (Math.random() < 0.15) void send().catch(() => undefined);
  const { status, body: answer } = await untilAnswered(send);
  if (status !== 200) throw new Error(`faults: ${path} was answered ${status}: ${JSON.stringify(answer)}`);
  return answer;
}

const isDone = (state) => state.acknowledged >= CHANGES;

async function write(person, state, jobId, template) {
  const parts = Array.from({ length: PARTS_EACH }, () => ({ ...template, id: randomUUID() }));
  const revisions = new Map(parts.map(({ id }) => [id, 0]));
  const last = new Map();
  while (!isDone(state)) {
    const part = { ...anyOf(parts), name: `Change ${randomUUID()}` };
    const baseRevision = revisions.get(part.id);
    const body = { commandId: randomUUID(), baseRevision, part };
    const { revision } = await acknowledged(person, `/jobs/${jobId}/parts/${part.id}`, body);
    if (revision !== baseRevision + 1) state.doubled += 1;
    revisions.set(part.id, revision);
    last.set(part.id, part.name);
    state.acknowledged += 1;
  }
  return { jobId, revisions, last };
}

async function harass(kill, state) {
  for (let killed = 0; killed < KILLS && !isDone(state); ) {
    // Spread over the changes, and never only one of the two.
    const due = (CHANGES / (KILLS + 1)) * (killed + 1);
    while (state.acknowledged < due && !isDone(state)) await pause(20);
    const which = killed % 2 === 0 ? anyOf(["server", "database"]) : killed % 4 === 1 ? "database" : "server";
    try {
      await kill[which]();
      killed += 1;
      state.killed[which] += 1;
    } catch {
      // Not back yet from the last time.
    }
    await pause(300 + Math.random() * 700);
  }
}

/** Quotes are issued all the while, each sent until it is acknowledged: their numbers run on without gap or double. */
async function quoteNumbers(person, state) {
  const { items } = await (await person.get("/jobs?find=Bramblegate")).json();
  const numbers = [];
  while (!isDone(state)) {
    const body = { commandId: randomUUID() };
    const { status, body: quote } = await untilAnswered(() => person.post(`/jobs/${items[0].id}/quotes`, body));
    if (status !== 201) throw new Error(`faults: a quote was answered ${status}: ${JSON.stringify(quote)}`);
    numbers.push(Number(/\d+$/.exec(quote.number)[0]));
    await pause(500);
  }
  return numbers.toSorted((a, b) => a - b);
}

/** What the server has after all of it, beside what it acknowledged. */
async function check(person, { jobId, revisions, last }) {
  const found = { lost: 0, doubled: 0, torn: 0 };
  const { body: full } = await untilAnswered(() => person.get(`/jobs/${jobId}`));
  let changed = 0;
  for (const [id, revision] of revisions) {
    if (revision === 0) continue;
    changed += revision;
    const record = full.parts.find((each) => each.id === id);
    if (!record || record.revision < revision || record.part.name !== last.get(id)) found.lost += 1;
    if (record && record.revision > revision) found.doubled += 1;
    const { body: history } = await untilAnswered(() => person.get(`/jobs/${jobId}/parts/${id}/history`));
    const own = history.items.map((each) => each.revision);
    if (own.length !== Math.min(revision, 50) || new Set(own).size !== own.length) found.torn += 1;
  }
  // Each change counts the job up by one, and no other thing does.
  if (full.change !== 1 + changed) found.torn += 1;
  return found;
}

async function main() {
  const { api, kill, stop } = await (IN_CLUSTER ? beginCluster() : begin());
  const state = { acknowledged: 0, doubled: 0, killed: { server: 0, database: 0 } };
  try {
    const person = await signedIn(api, OWNER);
    const { items } = await (await person.get("/jobs?find=Lantern")).json();
    const { parts } = await (await person.get(`/jobs/${items[0].id}`)).json();
    const template = parts.find(({ part }) => part.kind === "stud-wall" && part.plan === null).part;
    const start = { title: "Faults", customerName: "C", site: "", system: "imperial", currency: "USD" };
    const jobs = await Promise.all(
      Array.from({ length: WRITERS }, async () => (await (await person.post("/jobs", start)).json()).id),
    );
    const from = Date.now();
    const harassing = harass(kill, state);
    const numbering = quoteNumbers(person, state);
    // What goes wrong in it is said where it is waited for, once the rest is done: all of it is stopped then.
    numbering.catch(() => undefined);
    const written = await Promise.all(jobs.map((jobId) => write(person, state, jobId, template)));
    await harassing;
    const numbers = await numbering;
    const sum = { lost: 0, doubled: state.doubled, torn: 0 };
    for (const each of written) {
      const found = await check(person, each);
      for (const name of Object.keys(sum)) sum[name] += found[name];
    }
    const { server, database } = state.killed;
    console.log(
      `${state.acknowledged} acknowledged changes in ${((Date.now() - from) / 1000).toFixed(0)} s, the server killed ${server} times, the database ${database} times`,
    );
    const gaps = numbers.filter((number, index) => index > 0 && number !== numbers[index - 1] + 1).length;
    console.log(`${numbers.length} quotes issued meanwhile, gaps or doubles in their numbers: ${gaps}`);
    console.log(`lost ${sum.lost}, doubled ${sum.doubled}, torn ${sum.torn}`);
    if (sum.lost + sum.doubled + sum.torn + gaps > 0) process.exitCode = 1;
  } finally {
    await stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

main().catch((error) => {
  console.error(error);
  process.exit(1);
});
