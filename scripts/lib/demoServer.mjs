import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { ensureDebian, ensurePackages } from "./install.mjs";
import { startMariadb } from "./mariadb.mjs";
import { endChild } from "./run.mjs";
import { startServer } from "./server.mjs";
import { ensureWebBuild, webFolder } from "./webBuild.mjs";

/** The app with fresh demo data on a port of its own, for pictures and benchmarks. */
export async function withDemoServer(work) {
  await ensurePackages();
  await ensureDebian(["chromium"], ["chromium"], "Chromium");
  const folder = mkdtempSync(join(tmpdir(), "wide-porch-demo-"));
  const database = await startMariadb(folder);
  let server;
  try {
    await ensureWebBuild();
    const environment = {
      ...database.environment,
      PORT: "0",
      WIDE_PORCH_WEB: webFolder,
      WIDE_PORCH_DEMO: "1",
      LOG_LEVEL: "error",
    };
    server = await startServer(environment);
    await work(`http://127.0.0.1:${server.port}`);
  } finally {
    if (server) await endChild(server.child);
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
