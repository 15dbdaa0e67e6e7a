import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fingerprint } from "./fingerprint.mjs";
import { withLock } from "./lock.mjs";
import { inRoot } from "./paths.mjs";
import { must } from "./run.mjs";

const SOURCES = ["packages/app", "packages/core/src", "library", "package-lock.json", "scripts/lib/webBuild.mjs"];
export const webFolder = inRoot("packages/app/dist");

/**
 * The worker that opens the app without signal: it holds every file of this build, and answers any address with the page.
 * What the API answers is none of its business; the app keeps that itself.
 */
async function addServiceWorker(folder) {
  const { generateSW } = await import("workbox-build");
  await generateSW({
    globDirectory: folder,
    globPatterns: ["**/*.{html,js,css,json,ttf,png,svg,ico}"],
    swDest: join(folder, "service-worker.js"),
    navigateFallback: "/index.html",
    navigateFallbackDenylist: [/^\/api\//],
    maximumFileSizeToCacheInBytes: 20_000_000,
    skipWaiting: true,
    clientsClaim: true,
    cleanupOutdatedCaches: true,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    mode: "production",
  });
}

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
    await addServiceWorker(fresh);
    writeFileSync(join(fresh, ".fingerprint"), wanted);
    rmSync(webFolder, { recursive: true, force: true });
    renameSync(fresh, webFolder);
  });
}
