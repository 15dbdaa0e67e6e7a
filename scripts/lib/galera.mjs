import { spawn } from "node:child_process";
import { randomBytes } from "node:crypto";
import { existsSync, mkdirSync, openSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { ensureDebian, findProgram } from "./install.mjs";
import { answers, freePort } from "./mariadb.mjs";
import { endChild, must } from "./run.mjs";

const STARTING_MS = 120_000;
const NAME = "wide_porch";
const PROVIDERS = ["/usr/lib/galera/libgalera_smm.so", "/usr/lib/x86_64-linux-gnu/libgalera_smm.so"];

/** The library by which nodes hear of each other's commits; it comes with Debian's server. */
function provider() {
  const found = PROVIDERS.find(existsSync);
  if (!found) throw new Error(`startGalera: none of ${PROVIDERS.join(", ")} is there; install galera-4`);
  return found;
}

function firstStatements(folder, password) {
  const file = join(folder, "init.sql");
  const user = `'${NAME}'@'127.0.0.1'`;
  const statements = [
    `CREATE DATABASE IF NOT EXISTS ${NAME} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`,
    `CREATE USER IF NOT EXISTS ${user} IDENTIFIED BY '${password}'`,
    `GRANT ALL ON \`wide\\_porch%\`.* TO ${user}`,
  ];
  writeFileSync(file, statements.map((statement) => `${statement};\n`).join(""), { mode: 0o644 });
  return file;
}

async function startNode(folder, node, { isFirst, peers, password }) {
  const { dataFolder, port, group, transfer, step } = node;
  if (!existsSync(join(dataFolder, "mysql"))) {
    await must(
      findProgram("mariadb-install-db"),
      ["--no-defaults", `--datadir=${dataFolder}`, "--auth-root-authentication-method=normal", "--skip-test-db"],
      { stdio: ["ignore", "ignore", "inherit"] },
    );
    await must("chown", ["-R", "mysql:mysql", dataFolder]);
  }
  const log = openSync(join(folder, `${node.name}.log`), "a");
  const args = [
    "--no-defaults",
    "--user=mysql",
    `--datadir=${dataFolder}`,
    `--port=${port}`,
    `--socket=${join(dataFolder, "s")}`,
    `--tmpdir=${dataFolder}`,
    `--pid-file=${join(dataFolder, "pid")}`,
    "--bind-address=127.0.0.1",
    "--skip-name-resolve",
    "--character-set-server=utf8mb4",
    "--innodb-buffer-pool-size=128M",
    "--max-connections=100",
    "--binlog-format=ROW",
    "--innodb-autoinc-lock-mode=2",
    "--innodb-flush-log-at-trx-commit=1",
    "--wsrep-on=ON",
    `--wsrep-provider=${provider()}`,
    `--wsrep-cluster-address=gcomm://${isFirst ? "" : peers.join(",")}`,
    `--wsrep-node-name=${node.name}`,
    "--wsrep-node-address=127.0.0.1",
    "--wsrep-sst-method=rsync",
    `--wsrep-sst-receive-address=127.0.0.1:${transfer}`,
    // What one node committed is waited for before another reads or writes: a device moves between servers and sees its own writes.
    "--wsrep-sync-wait=7",
    "--wsrep-retry-autocommit=10",
    "--wsrep-log-conflicts=ON",
    `--wsrep-provider-options=base_host=127.0.0.1;base_port=${group};gmcast.listen_addr=tcp://127.0.0.1:${group};ist.recv_addr=127.0.0.1:${step};pc.recovery=true`,
    ...(isFirst ? [`--init-file=${firstStatements(folder, password)}`] : []),
  ];
  const child = spawn(findProgram("mariadbd"), args, { detached: true, stdio: ["ignore", log, log] });
  for (const end = Date.now() + STARTING_MS; !(await answers(port)); await pause(200)) {
    if (child.exitCode !== null || child.signalCode !== null) {
      throw new Error(`startGalera: ${node.name} did not start; see ${join(folder, `${node.name}.log`)}`);
    }
    if (Date.now() > end) throw new Error(`startGalera: ${node.name} did not answer in two minutes`);
  }
  return child;
}

/**
 * Some nodes of a cluster on loopback, each with a copy of all the data: `nodes[i]` has its port, `kill` ends it at once and `restart` brings
 * it back, from what the others have. At least two must be there for any to take a change.
 */
export async function startGalera(folder, count = 3) {
  await ensureDebian(["mariadbd", "mariadb-install-db"], ["mariadb-server"], "MariaDB");
  await ensureDebian(["rsync"], ["rsync"], "rsync");
  await ensureDebian(["lsof"], ["lsof"], "lsof");
  mkdirSync(folder, { recursive: true });
  await must("chmod", ["755", folder]);
  const password = randomBytes(24).toString("base64url");
  const nodes = [];
  for (let index = 0; index < count; index += 1) {
    const name = `node-${index + 1}`;
    // Ports beside each other: the group's, and one for its steps.
    const [port, group, transfer, step] = [await freePort(), await freePort(), await freePort(), await freePort()];
    nodes.push({ name, dataFolder: join(folder, name), port, group, transfer, step, child: undefined });
  }
  const peersOf = (node) => nodes.filter((each) => each !== node).map(({ group }) => `127.0.0.1:${group}`);
  for (const [index, node] of nodes.entries()) {
    node.child = await startNode(folder, node, { isFirst: index === 0, peers: peersOf(node), password });
  }
  return {
    nodes,
    environmentOf: (index) => ({
      WIDE_PORCH_DB_PORT: String(nodes[index].port),
      WIDE_PORCH_DB_NAME: NAME,
      WIDE_PORCH_DB_USER: NAME,
      WIDE_PORCH_DB_PASSWORD: password,
      WIDE_PORCH_DB_CLUSTER: "1",
    }),
    isUp: (index) => answers(nodes[index].port),
    kill: (index) => nodes[index].child.kill("SIGKILL"),
    restart: async (index) => {
      const node = nodes[index];
      node.child = await startNode(folder, node, { isFirst: false, peers: peersOf(node), password });
    },
    stop: async () => {
      for (const { child } of [...nodes].reverse()) {
        if (child && child.exitCode === null && child.signalCode === null) await endChild(child, "SIGTERM", 60_000);
      }
    },
  };
}
