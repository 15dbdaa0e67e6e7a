import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { startCluster } from "./lib/cluster.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { ensureWebBuild, webFolder } from "./lib/webBuild.mjs";

/** `npm run cluster`: the app past one machine, all of it on this one, with the demo inside. Ctrl-C ends it, and its data with it. */
await ensurePackages();
await ensureWebBuild();
const folder = mkdtempSync(join(tmpdir(), "wide-porch-cluster-"));
console.log("Three nodes of the database begin, each with a copy of the data ...");
const cluster = await startCluster(folder, Number(process.env.PORT ?? 8788), { WIDE_PORCH_WEB: webFolder });
console.log(`
Wide Porch is ready at ${cluster.address}
  Two servers behind a small proxy, three nodes of MariaDB with Galera, photos in a bucket.
  Database ports ${cluster.galera.nodes.map(({ port }) => port).join(", ")}
  Ctrl-C stops all of it.
`);
let stopping = false;
for (const signal of ["SIGINT", "SIGTERM"]) {
  process.on(signal, () => {
    if (stopping) return;
    stopping = true;
    void cluster.stop().then(() => {
      rmSync(folder, { recursive: true, force: true });
      process.exit(0);
    });
  });
}
