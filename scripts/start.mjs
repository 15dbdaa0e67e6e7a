import { resolve } from "node:path";
import { ensurePackages, NotInstalled } from "./lib/install.mjs";
import { keepRunning } from "./lib/keepRunning.mjs";
import { startMariadb } from "./lib/mariadb.mjs";
import { inRoot } from "./lib/paths.mjs";
import { endChild } from "./lib/run.mjs";
import { startServer } from "./lib/server.mjs";
import { ensureWebBuild, webFolder } from "./lib/webBuild.mjs";

const dataFolder = resolve(process.env.WIDE_PORCH_DATA ?? inRoot(".data"));
const port = process.env.PORT ?? "8787";

/** With the invented company, unless it is asked to begin empty. */
const demo = process.env.WIDE_PORCH_DEMO ?? "1";

const DEMO_WORDS = `  Sign in as   ros@fernhollow.example     owner
               piet@fernhollow.example    estimator
               juno@fernhollow.example    crew, sees no costs
  Password     porch-demo-2026
`;

function welcome(address, letters) {
  console.log(`
Wide Porch is ready at ${address}

${demo === "1" ? DEMO_WORDS : "  Open it and begin with your company.\n"}
${letters ? `  Letters that it would send are read at ${letters}\n` : ""}  Data lies in ${dataFolder}
  Ctrl-C stops it.
`);
}

/** The server as something that is kept running. */
async function beginServer(environment) {
  const { child, port: listening, letters } = await startServer(environment);
  const gone = new Promise((resolve) => child.once("exit", resolve));
  return { port: listening, letters, gone, stop: () => endChild(child) };
}

async function start() {
  await ensurePackages();
  let server;
  let stopping = false;
  let databasePort;
  const stop = async (code) => {
    if (stopping) return;
    stopping = true;
    await server?.stop();
    await database.stop();
    process.exit(code);
  };
  const giveUp = () => void stop(1);
  const database = await keepRunning(
    `The database (its words are in ${resolve(dataFolder, "mariadb.log")})`,
    async () => {
      const begun = await startMariadb(dataFolder, databasePort);
      databasePort = begun.port;
      return begun;
    },
    { giveUp },
  );
  for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"]) process.on(signal, () => void stop(0));
  try {
    await ensureWebBuild();
    const environment = {
      ...database.first.environment,
      PORT: port,
      WIDE_PORCH_WEB: webFolder,
      WIDE_PORCH_DEMO: demo,
      LOG_LEVEL: process.env.LOG_LEVEL ?? "warn",
    };
    server = await keepRunning("The server", () => beginServer(environment), { giveUp });
    welcome(`http://127.0.0.1:${server.first.port}`, server.first.letters);
  } catch (error) {
    console.error(error.message);
    await stop(1);
  }
}

start().catch((error) => {
  console.error(error instanceof NotInstalled ? error.message : error);
  process.exit(1);
});
