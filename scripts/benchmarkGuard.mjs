import { execFileSync } from "node:child_process";
import { randomUUID } from "node:crypto";
import { connect } from "node:net";
import { signedIn } from "./lib/api.mjs";
import { watchHealth } from "./lib/healthWatch.mjs";
import { linkTo } from "./lib/letters.mjs";
import { inRoot } from "./lib/paths.mjs";
import { percentile } from "./lib/timing.mjs";

const COMPANIES = 8;
const HEAVY_EACH = 4;
const WALLS = "400";
const SECONDS = 8;
const PASSWORD = "wet rope and shovel";

/** Health again and again, from when `work` begins until it has ended; with the most memory that was seen. */
async function healthDuring(address, name, work) {
  const watched = watchHealth(address);
  const statuses = await work();
  const { times, notWell, mostMegabytes } = await watched.end();
  const counts = new Map();
  for (const status of statuses) counts.set(status, (counts.get(status) ?? 0) + 1);
  const told = [...counts].map(([status, count]) => `${count} x ${status}`).join(", ");
  console.log(
    `${name.padEnd(58)} health p95 ${percentile(times, 0.95).toFixed(0)} ms, worst ${Math.max(...times).toFixed(0)} ms, not well ${notWell} of ${times.length}; ${mostMegabytes.toFixed(0)} MB; ${told}`,
  );
}

const status = async (asking) => {
  try {
    const answer = await asking;
    await answer.arrayBuffer();
    return answer.status;
  } catch {
    return "cut off";
  }
};

/** Asks again and again, so many at once, for some seconds. */
async function hammered(atOnce, ask) {
  const statuses = [];
  const end = Date.now() + SECONDS * 1000;
  const one = async () => {
    while (Date.now() < end) statuses.push(await status(ask()));
  };
  await Promise.all(Array.from({ length: atOnce }, one));
  return statuses;
}

async function ownCompany(api, index) {
  const email = `guard-${index}-${randomUUID().slice(0, 8)}@bench.example`;
  const body = {
    companyName: `Bench ${index}`,
    name: "B",
    email,
    password: PASSWORD,
    system: "imperial",
    currency: "USD",
  };
  const headers = { "content-type": "application/json" };
  const begun = await fetch(`${api}/companies`, { method: "POST", headers, body: JSON.stringify(body) });
  if (begun.status !== 201) throw new Error(`benchmarkGuard: a company was answered ${begun.status}`);
  const token = (await linkTo(api, email)).split("#")[1];
  await fetch(`${api}/confirm`, { method: "POST", headers, body: JSON.stringify({ token }) });
  return signedIn(api, { email, password: PASSWORD });
}

const largeFile = () =>
  execFileSync(inRoot("node_modules/.bin/tsx"), [inRoot("scripts/largeHouseFile.ts"), WALLS], {
    maxBuffer: 500_000_000,
  });

async function jobOf(person, file) {
  const answer = await person.post("/job-files", file);
  if (answer.status !== 201) throw new Error(`benchmarkGuard: a house was answered ${answer.status}`);
  return (await answer.json()).id;
}

/** A body that is announced and comes a byte at a time. */
function dripping(port, path, headers) {
  const socket = connect(port, "127.0.0.1");
  socket.on("error", () => undefined);
  const lines = Object.entries(headers)
    .map(([name, value]) => `${name}: ${value}\r\n`)
    .join("");
  socket.write(`POST /api/v1${path} HTTP/1.1\r\nHost: x\r\n${lines}\r\n`);
  const drip = setInterval(() => socket.write("x"), 1000);
  return new Promise((done) => {
    let text = "";
    socket.on("data", (chunk) => {
      text += chunk;
    });
    socket.once("close", () => {
      clearInterval(drip);
      done(/^HTTP\/1\.1 (\d+)/.exec(text)?.[1] ?? "cut off");
    });
    setTimeout(() => socket.destroy(), SECONDS * 1000);
  });
}

/** What one company, or somebody whom nobody knows, can do to the health of the server; and many companies that all ask for much. */
export async function benchmarkGuard(address) {
  const api = `${address}/api/v1`;
  const port = Number(new URL(address).port);
  const file = largeFile();
  const { items: people } = await (await fetch(`${api}/demo-people`)).json();
  const [ros, , juno] = await Promise.all(people.map((person) => signedIn(api, person)));
  const jobId = await jobOf(ros, file);
  const { parts } = await (await juno.get(`/jobs/${jobId}`)).json();
  const [part] = parts;
  const large = { ...part.part, notes: "x".repeat(1900), name: "Guard" };
  let revision = part.revision;
  await healthDuring(address, "crew: 60 large versions of one part", async () => {
    const statuses = [];
    for (let version = 0; version < 60; version += 1) {
      const body = { commandId: randomUUID(), baseRevision: revision, part: { ...large, name: `Guard ${version}` } };
      const answer = await juno.put(`/jobs/${jobId}/parts/${part.id}`, body);
      statuses.push(answer.status);
      if (answer.status === 200) revision = (await answer.json()).revision;
    }
    return statuses;
  });
  await healthDuring(address, "crew: 8 readers of that history", () =>
    hammered(8, () => juno.get(`/jobs/${jobId}/parts/${part.id}/history`)),
  );
  await healthDuring(address, "crew: 8 readers of all that changed", () =>
    hammered(8, () => juno.get(`/jobs/${jobId}/changes?since=0`)),
  );
  await healthDuring(address, "crew: a part of 2.7 MB, 8 at once", () =>
    hammered(8, () =>
      juno.put(`/jobs/${jobId}/parts/${part.id}`, {
        commandId: randomUUID(),
        baseRevision: revision,
        part: { ...large, choices: { more: "x".repeat(2_700_000) } },
      }),
    ),
  );
  await healthDuring(address, "estimator: 8 readers of the price list and quotes", () =>
    hammered(8, () => (Math.random() < 0.5 ? ros.get("/price-list") : ros.get("/jobs?perPage=100"))),
  );
  await healthDuring(address, "owner: 4 times all of the company as files", () =>
    Promise.all(Array.from({ length: 4 }, () => status(ros.get("/company/file")))),
  );
  const signIn = { "content-type": "application/json" };
  await healthDuring(address, "nobody: 400 connections with 3.9 MB to the sign-in", () =>
    Promise.all(
      Array.from({ length: 400 }, () =>
        status(fetch(`${api}/session`, { method: "POST", headers: signIn, body: "x".repeat(3_900_000) })),
      ),
    ),
  );
  const others = [];
  for (let index = 0; index < COMPANIES; index += 1) others.push(await ownCompany(api, index));
  const slow = others.slice(0, 3).flatMap(({ cookie, csrfToken }) =>
    Array.from({ length: 3 }, () =>
      dripping(port, "/job-files", {
        cookie,
        "x-csrf-token": csrfToken,
        "content-type": "application/json",
        "content-length": 150_000_000,
      }),
    ),
  );
  const from = performance.now();
  await healthDuring(address, "three companies at a byte a second; a fourth imports", async () => [
    await status(others[4].post("/job-files", file)),
  ]);
  console.log(`  the import took ${((performance.now() - from) / 1000).toFixed(1)} s`);
  await Promise.all(slow);

  const jobs = [];
  for (const person of others) jobs.push(await jobOf(person, file));
  const began = performance.now();
  await healthDuring(address, `${COMPANIES} companies x ${HEAVY_EACH} heavy answers of ${WALLS} parts`, () =>
    Promise.all(
      others.flatMap((person, index) =>
        ["counts", "price", "quote-draft", "file"]
          .slice(0, HEAVY_EACH)
          .map((path) => status(person.get(`/jobs/${jobs[index]}/${path}`))),
      ),
    ),
  );
  console.log(`  all answered in ${((performance.now() - began) / 1000).toFixed(1)} s`);
}
