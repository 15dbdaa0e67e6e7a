import { resolve } from "node:path";
import { ensurePackages, NotInstalled } from "./lib/install.mjs";
import { startMariadb } from "./lib/mariadb.mjs";
import { inRoot } from "./lib/paths.mjs";
import { endChild } from "./lib/run.mjs";
import { startServer } from "./lib/server.mjs";
import { ensureWebBuild, webFolder } from "./lib/webBuild.mjs";

const dataFolder = resolve(process.env.WIDE_PORCH_DATA ?? inRoot(".data"));
const port = process.env.PORT ?? "8787";

function welcome(address) {
  console.log(`
Wide Porch is ready at ${address}

  Sign in as   ros@fernhollow.example     owner
               piet@fernhollow.example    estimator
               juno@fernhollow.example    crew, sees no costs
  Password     porch-demo-2026

  Data lies in ${dataFolder}
  Ctrl-C stops it.
`);
}

async function start() {
  await ensurePackages();
  const database = await startMariadb(dataFolder);
  let server;
  let stopping = false;
  const stop = async (code) => {
    if (stopping) return;
    stopping = true;
    if (server) await endChild(server.child);
    await database.stop();
    process.exit(code);
  };
  for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"]) process.on(signal, () => void stop(0));
  try {
    await ensureWebBuild();
    server = await startServer({
      ...database.environment,
      PORT: port,
      WIDE_PORCH_WEB: webFolder,
      WIDE_PORCH_DEMO: "1",
      LOG_LEVEL: process.env.LOG_LEVEL ?? "warn",
    });
    server.child.once("exit", () => void stop(1));
    welcome(`http://127.0.0.1:${server.port}`);
  } catch (error) {
    console.error(error.message);
    await stop(1);
  }
}

start().catch((error) => {
  console.error(error instanceof NotInstalled ? error.message : error);
  process.exit(1);
});
