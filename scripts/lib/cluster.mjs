import { chmodSync } from "node:fs";
import { join } from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { startGalera } from "./galera.mjs";
import { startObjects } from "./objectStandIn.mjs";
import { startProxy } from "./proxy.mjs";
import { endChild } from "./run.mjs";
import { startServer } from "./server.mjs";

const SERVERS = 2;
const AGAIN_MS = 500;

/**
 * Three nodes of a database, two servers of the app, each at a node of its own, a small proxy before them, and photos in a bucket: all on
 * loopback. What ends is started again.
 */
export async function startCluster(folder, port = 0, environment = {}) {
  // Nodes run as a user of their own, who has to get in.
  chmodSync(folder, 0o755);
  const galera = await startGalera(join(folder, "database"));
  const objects = await startObjects();
  const servers = [];
  let stopping = false;

  /** A server whose node is away takes the next one that is there. */
  async function nodeFor(index) {
    for (let tries = 0; ; tries += 1) {
      const node = (index + tries) % galera.nodes.length;
      if (await galera.isUp(node)) return node;
      if (tries > 600) throw new Error("startCluster: no node of the database answers");
      await pause(100);
    }
  }
  async function startOne(index) {
    const server = await startServer({
      ...galera.environmentOf(await nodeFor(index)),
      ...objects.environment,
      PORT: String(servers[index]?.port ?? 0),
      WIDE_PORCH_DEMO: "1",
      WIDE_PORCH_TRUSTED_HOPS: "1",
      LOG_LEVEL: "silent",
      ...environment,
    });
    servers[index] = server;
    server.child.once("exit", () => {
      if (!stopping) void pause(AGAIN_MS).then(() => startAgain(index));
    });
  }
  async function startAgain(index) {
    while (!stopping) {
      try {
        await startOne(index);
        return;
      } catch {
        await pause(AGAIN_MS);
      }
    }
  }
  for (let index = 0; index < SERVERS; index += 1) await startOne(index);
  const proxy = await startProxy(
    servers.map((_, index) => () => servers[index].port),
    port,
  );

  let nodeIsDown = false;
  /** A node that is killed comes back from what the others have; one at a time, as two of three have to be there. */
  async function killNode(index) {
    if (nodeIsDown || stopping) return false;
    nodeIsDown = true;
    galera.kill(index);
    void (async () => {
      await pause(AGAIN_MS);
      for (let tries = 0; !stopping && tries < 5; tries += 1) {
        try {
          await galera.restart(index);
          break;
        } catch {
          await pause(AGAIN_MS);
        }
      }
      nodeIsDown = false;
    })();
    return true;
  }
  return {
    address: `http://127.0.0.1:${proxy.port}`,
    galera,
    killServer: (index = Math.floor(Math.random() * SERVERS)) => servers[index].child.kill("SIGKILL"),
    killNode: (index = Math.floor(Math.random() * galera.nodes.length)) => killNode(index),
    stop: async () => {
      while (nodeIsDown) await pause(100);
      stopping = true;
      await proxy.stop();
      for (const { child } of servers) if (child.exitCode === null && child.signalCode === null) await endChild(child);
      await objects.stop();
      await galera.stop();
    },
  };
}
