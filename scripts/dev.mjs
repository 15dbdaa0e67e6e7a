import { spawn } from "node:child_process";
import { join, resolve } from "node:path";
import { ensurePackages } from "./lib/install.mjs";
import { startMariadb } from "./lib/mariadb.mjs";
import { inRoot, root } from "./lib/paths.mjs";
import { endChild } from "./lib/run.mjs";
import { buildOptions, ensureServerBuild, serverFolder } from "./lib/serverBuild.mjs";

/** Development: the API restarts when it changes, and Expo serves the app with hot reload and passes /api on to it. */
const apiPort = process.env.PORT ?? "8787";

await ensurePackages();
const database = await startMariadb(resolve(process.env.WIDE_PORCH_DATA ?? inRoot(".data")));
await ensureServerBuild();
const { context } = await import("esbuild");
const bundling = await context(buildOptions(serverFolder));
await bundling.watch();
const server = spawn(process.execPath, ["--watch", "--enable-source-maps", join(serverFolder, "main.js")], {
  cwd: root,
  env: { ...process.env, ...database.environment, PORT: apiPort, WIDE_PORCH_DEMO: "1", LOG_LEVEL: "info" },
  stdio: ["ignore", "inherit", "inherit"],
  detached: true,
});
const app = spawn(process.execPath, [inRoot("node_modules/expo/bin/cli"), "start", "--web"], {
  cwd: inRoot("packages/app"),
  env: { ...process.env, WIDE_PORCH_API: `http://127.0.0.1:${apiPort}`, EXPO_NO_TELEMETRY: "1" },
  stdio: "inherit",
  detached: true,
});

let stopping = false;
async function stop() {
  if (stopping) return;
  stopping = true;
  await endChild(app);
  await endChild(server);
  await bundling.dispose();
  await database.stop();
  process.exit(0);
}
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => void stop());
app.once("exit", () => void stop());
