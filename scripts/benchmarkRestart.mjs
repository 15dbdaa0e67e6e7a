import { spawn } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { freePort } from "./lib/mariadb.mjs";
import { inRoot } from "./lib/paths.mjs";

const AIM_S = 3;
const PATIENCE_MS = 60_000;

const isWell = (address) =>
  fetch(`${address}/api/v1/health`, { signal: AbortSignal.timeout(500) })
    .then(({ status }) => status === 200)
    .catch(() => false);

/** How long until the server answers again after work that ends it. */
async function backAfter(address, end) {
  end();
  const from = performance.now();
  while (await isWell(address)) await pause(5);
  while (!(await isWell(address))) {
    if (performance.now() - from > PATIENCE_MS) throw new Error("benchmarkRestart: it did not come back in a minute");
    await pause(20);
  }
  return (performance.now() - from) / 1000;
}

/** The process of the server that a start command keeps running. */
function serverOf(startPid) {
  const children = readFileSync(`/proc/${startPid}/task/${startPid}/children`, "utf8").trim().split(" ").map(Number);
  const found = children.find((pid) => readFileSync(`/proc/${pid}/cmdline`, "utf8").includes("dist/main.js"));
  if (!found) throw new Error("benchmarkRestart: the start command keeps no server");
  return found;
}

const isThere = (pid) => existsSync(`/proc/${pid}`);

/** How long a server takes to end that is told to while its database answers nothing. */
async function endsFrozen(server, folder) {
  const { pid: database } = JSON.parse(readFileSync(join(folder, "running.json"), "utf8"));
  process.kill(database, "SIGSTOP");
  try {
    process.kill(server, "SIGTERM");
    const from = performance.now();
    while (isThere(server) && performance.now() - from < PATIENCE_MS) await pause(50);
    return (performance.now() - from) / 1000;
  } finally {
    process.kill(database, "SIGCONT");
  }
}

/** The real start command; its server is killed, then its database, and it is seen when it answers again. */
export async function benchmarkRestart() {
  const folder = mkdtempSync(join(tmpdir(), "wide-porch-restart-"));
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  const child = spawn(process.execPath, [inRoot("scripts/start.mjs")], {
    env: { ...process.env, PORT: String(port), WIDE_PORCH_DATA: folder },
    stdio: ["ignore", "ignore", "ignore"],
  });
  try {
    for (const end = Date.now() + 300_000; !(await isWell(address)); await pause(200)) {
      if (Date.now() > end) throw new Error("benchmarkRestart: the start command was not ready in five minutes");
    }
    const server = await backAfter(address, () => process.kill(serverOf(child.pid), "SIGKILL"));
    console.log(`${"server back after SIGKILL".padEnd(52)} ${server.toFixed(1)} s  (aim: ${AIM_S})`);
    await pause(1000);
    const { pid } = JSON.parse(readFileSync(join(folder, "running.json"), "utf8"));
    const database = await backAfter(address, () => process.kill(pid, "SIGKILL"));
    console.log(`${"server well again after the database's SIGKILL".padEnd(52)} ${database.toFixed(1)} s`);
    await pause(3000);
    const ended = await endsFrozen(serverOf(child.pid), folder);
    console.log(`${"server told to end while its database is frozen".padEnd(52)} ${ended.toFixed(1)} s  (aim: 15)`);
  } finally {
    child.kill("SIGTERM");
    await new Promise((done) => child.once("exit", done));
    rmSync(folder, { recursive: true, force: true });
  }
}
