import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fingerprint } from "./fingerprint.mjs";
import { withLock } from "./lock.mjs";
import { inRoot } from "./paths.mjs";

const SOURCES = [
  "packages/server/src",
  "packages/core/src",
  "library",
  "package-lock.json",
  "scripts/lib/serverBuild.mjs",
];
export const serverFolder = inRoot("packages/server/dist");

/** The server, and what runs in threads and processes of its own. */
const ENTRIES = {
  main: "packages/server/src/main.ts",
  answerWorker: "packages/server/src/pool/answerWorker.ts",
  passwordWorker: "packages/server/src/pool/passwordWorker.ts",
  mailMain: "packages/server/src/standIns/mailMain.ts",
  suppliersMain: "packages/server/src/standIns/suppliersMain.ts",
};

/** Our own packages go in, those of the registry are loaded from where they lie. */
const ownPackagesOnly = {
  name: "own-packages-only",
  setup(build) {
    build.onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
      kind === "entry-point" || (path.startsWith("@wide-porch/") && !path.endsWith("/package.json"))
        ? undefined
        : { external: true },
    );
  },
};

export const buildOptions = (folder) => ({
  entryPoints: Object.fromEntries(Object.entries(ENTRIES).map(([name, path]) => [name, inRoot(path)])),
  outdir: folder,
  bundle: true,
  platform: "node",
  target: "node20",
  format: "cjs",
  sourcemap: true,
  logLevel: "warning",
  plugins: [ownPackagesOnly],
});

/** What this build of the program is called. */
export const serverBuild = () => fingerprint(SOURCES);

/** Bundles the server when anything it is made from has changed: it starts in a moment, and so do its threads. */
export async function ensureServerBuild() {
  const marker = join(serverFolder, ".fingerprint");
  const isReady = () => existsSync(marker) && readFileSync(marker, "utf8") === serverBuild();
  if (isReady()) return;
  await withLock("server-build", async () => {
    if (isReady()) return;
    const { build, stop } = await import("esbuild");
    const wanted = serverBuild();
    const fresh = inRoot("packages/server/dist-fresh");
    rmSync(fresh, { recursive: true, force: true });
    await build(buildOptions(fresh));
    // Its own process would outlive the work.
    await stop();
    writeFileSync(join(fresh, ".fingerprint"), wanted);
    rmSync(serverFolder, { recursive: true, force: true });
    renameSync(fresh, serverFolder);
  });
}
