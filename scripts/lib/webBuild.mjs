import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fingerprint } from "./fingerprint.mjs";
import { withLock } from "./lock.mjs";
import { inRoot } from "./paths.mjs";
import { must } from "./run.mjs";

const SOURCES = ["packages/app", "packages/core/src", "library", "package-lock.json"];
export const webFolder = inRoot("packages/app/dist");

/** Exports the web app when anything it is made from has changed. Built beside and then put in place, whole. */
export async function ensureWebBuild() {
  const marker = join(webFolder, ".fingerprint");
  const isReady = () => existsSync(marker) && readFileSync(marker, "utf8") === fingerprint(SOURCES);
  if (isReady()) return;
  await withLock("web-build", async () => {
    if (isReady()) return;
    console.log("Building the web app (a minute or two the first time) ...");
    const wanted = fingerprint(SOURCES);
    const fresh = inRoot("packages/app/dist-fresh");
    rmSync(fresh, { recursive: true, force: true });
    const args = [inRoot("node_modules/expo/bin/cli"), "export", "-p", "web", "--output-dir", fresh];
    const environment = { ...process.env, CI: "1", EXPO_NO_TELEMETRY: "1", EXPO_OFFLINE: "1", NODE_ENV: "production" };
    await must(process.execPath, args, {
      cwd: inRoot("packages/app"),
      env: environment,
      stdio: ["ignore", "ignore", "inherit"],
    });
    writeFileSync(join(fresh, ".fingerprint"), wanted);
    rmSync(webFolder, { recursive: true, force: true });
    renameSync(fresh, webFolder);
  });
}
