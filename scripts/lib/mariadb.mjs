import { spawn } from "node:child_process";
import { randomBytes } from "node:crypto";
import { existsSync, mkdirSync, mkdtempSync, openSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { connect, createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { ensureDebian, findProgram } from "./install.mjs";
import { endChild, must } from "./run.mjs";

const STARTING_MS = 60_000;
const NAME = "wide_porch";

/** A port that was free a moment ago. */
export function freePort() {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once("error", reject);
    server.listen(0, "127.0.0.1", () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

/** Whether a database answers at a port. */
export const answers = (port) =>
  new Promise((resolve) => {
    const socket = connect({ port, host: "127.0.0.1" });
    socket.setTimeout(1000, () => socket.destroy());
    // The server speaks first: its greeting tells that it is ready and is a database.
    socket.once("data", () => {
      socket.destroy();
      resolve(true);
    });
    socket.once("error", () => resolve(false));
    socket.once("close", () => resolve(false));
  });

const asUser = () => (process.getuid?.() === 0 ? ["--user=root"] : []);

function passwordIn(folder) {
  const file = join(folder, "password");
  if (!existsSync(file)) writeFileSync(file, randomBytes(24).toString("base64url"), { mode: 0o600 });
  return readFileSync(file, "utf8").trim();
}

const connection = (port, password) => ({
  WIDE_PORCH_DB_PORT: String(port),
  WIDE_PORCH_DB_NAME: NAME,
  WIDE_PORCH_DB_USER: NAME,
  WIDE_PORCH_DB_PASSWORD: password,
});

/** A database left running by a start that was killed: it holds the data folder, so it is used, and stopped with us. */
async function leftRunning(folder, password) {
  const note = join(folder, "running.json");
  if (!existsSync(note)) return undefined;
  const { pid, port } = JSON.parse(readFileSync(note, "utf8"));
  try {
    process.kill(pid, 0);
  } catch {
    return undefined;
  }
  if (!readFileSync(`/proc/${pid}/cmdline`, "utf8").includes(folder)) return undefined;
  for (const end = Date.now() + STARTING_MS; !(await answers(port)); await pause(200)) {
    if (Date.now() > end) throw new Error(`The database left running (process ${pid}) does not answer.`);
  }
  const stop = async () => {
    process.kill(pid, "SIGTERM");
    while (existsSync(`/proc/${pid}`)) await pause(100);
    rmSync(note, { force: true });
  };
  return { environment: connection(port, password), port, gone: endOf(pid), stop };
}

/** Resolves once a process that is not our child is no more. */
const endOf = (pid) =>
  new Promise((resolve) => {
    const asked = setInterval(() => {
      if (existsSync(`/proc/${pid}`)) return;
      clearInterval(asked);
      resolve();
    }, 1000);
    asked.unref();
  });

/** Made beside and then put in place, whole: one that was broken off is made anew. */
async function createData(dataFolder) {
  if (existsSync(join(dataFolder, "mysql"))) return;
  const fresh = `${dataFolder}-fresh`;
  for (const folder of [fresh, dataFolder]) rmSync(folder, { recursive: true, force: true });
  const args = ["--no-defaults", `--datadir=${fresh}`, "--auth-root-authentication-method=normal", "--skip-test-db"];
  await must(findProgram("mariadb-install-db"), args, { stdio: ["ignore", "ignore", "inherit"] });
  renameSync(fresh, dataFolder);
}

function firstStatements(folder, password) {
  const file = join(folder, "init.sql");
  const user = `'${NAME}'@'127.0.0.1'`;
  const statements = [
    `CREATE DATABASE IF NOT EXISTS ${NAME} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`,
    `CREATE USER IF NOT EXISTS ${user} IDENTIFIED BY '${password}'`,
    `GRANT ALL ON \`${NAME.replace("_", "\\_")}%\`.* TO ${user}`,
  ];
  writeFileSync(file, statements.map((statement) => `${statement};\n`).join(""), { mode: 0o600 });
  return file;
}

/** For data that nobody needs once the tests are over: it does not wait for the disk at each change. */
export const FOR_TESTS = ["--innodb-flush-log-at-trx-commit=0", "--innodb-doublewrite=OFF"];

/**
 * Starts MariaDB on loopback with its data in `folder`, and resolves once it answers. The administrator can sign in by
 * the socket only, which lies in a folder that nobody else may enter. One that is started again keeps the port it had.
 */
export async function startMariadb(folder, knownPort, more = []) {
  await ensureDebian(["mariadbd", "mariadb-install-db"], ["mariadb-server"], "MariaDB");
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const password = passwordIn(folder);
  const running = await leftRunning(folder, password);
  if (running) return running;

  const dataFolder = join(folder, "mariadb");
  await createData(dataFolder);
  const port = knownPort ?? (await freePort());
  const socketFolder = mkdtempSync(join(tmpdir(), "wide-porch-"));
  const log = openSync(join(folder, "mariadb.log"), "a");
  const args = [
    "--no-defaults",
    `--datadir=${dataFolder}`,
    `--socket=${join(socketFolder, "s")}`,
    // Each clears its folder of temporary tables as it starts: in a shared one those of the others.
    `--tmpdir=${socketFolder}`,
    `--init-file=${firstStatements(folder, password)}`,
    "--bind-address=127.0.0.1",
    `--port=${port}`,
    "--skip-name-resolve",
    "--character-set-server=utf8mb4",
    "--innodb-buffer-pool-size=128M",
    "--max-connections=60",
    ...more,
    ...asUser(),
  ];
  // Its own process group: Ctrl-C reaches us first, and we stop it last.
  const child = spawn(findProgram("mariadbd"), args, { detached: true, stdio: ["ignore", log, log] });
  const note = join(folder, "running.json");
  writeFileSync(note, JSON.stringify({ pid: child.pid, port }));
  for (const end = Date.now() + STARTING_MS; !(await answers(port)); await pause(100)) {
    if (child.exitCode !== null) throw new Error(`MariaDB did not start; see ${join(folder, "mariadb.log")}`);
    if (Date.now() > end) throw new Error(`MariaDB did not answer within a minute; see ${join(folder, "mariadb.log")}`);
  }
  const stop = async () => {
    await endChild(child, "SIGTERM", 60_000);
    rmSync(note, { force: true });
    rmSync(socketFolder, { recursive: true, force: true });
  };
  const gone = new Promise((resolve) => child.once("exit", resolve));
  return { environment: connection(port, password), port, gone, stop };
}
