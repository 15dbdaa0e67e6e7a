import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import { benchmarkDrag } from "./benchmarkDrag.mjs";
import { benchmarkEntries } from "./benchmarkEntries.mjs";
import { benchmarkGuard } from "./benchmarkGuard.mjs";
import { benchmarkLoad } from "./benchmarkLoad.mjs";
import { benchmarkModel } from "./benchmarkModel.mjs";
import { benchmarkPlan } from "./benchmarkPlan.mjs";
import { benchmarkRestart } from "./benchmarkRestart.mjs";
import { benchmarkServer } from "./benchmarkServer.mjs";
import { benchmarkWorksheet } from "./benchmarkWorksheet.mjs";
import { withDemoServer } from "./lib/demoServer.mjs";
import { inRoot } from "./lib/paths.mjs";
import { must } from "./lib/run.mjs";
import { webFolder } from "./lib/webBuild.mjs";

/** Prints what the app is measured by. Nothing here fails a test: figures belong to the machine they were taken on. */
function printFirstLoad() {
  const folder = join(webFolder, "_expo/static/js/web");
  for (const name of readdirSync(folder).filter((each) => each.endsWith(".js"))) {
    const size = gzipSync(readFileSync(join(folder, name))).length / 1000;
    console.log(`${name.replace(/-[0-9a-f]{32}/, "").padEnd(52)} ${size.toFixed(0)} kB gzipped`);
  }
}

/** Bundled first, as in the app: what runs TypeScript as it stands would be timed with it. */
async function benchmarkBundled(name) {
  const bundle = inRoot(`.cache/${name}.cjs`);
  const args = [
    inRoot(`scripts/${name}.ts`),
    "--bundle",
    "--platform=node",
    // Some packages have a door for browsers that bundles better than the one for Node.
    "--main-fields=module,main",
    "--log-level=error",
    `--outfile=${bundle}`,
  ];
  await must(inRoot("node_modules/.bin/esbuild"), args);
  await must(process.execPath, [bundle]);
}

console.log("\nCore");
await benchmarkBundled("benchmarkCore");
console.log("\nStoreys");
await benchmarkBundled("benchmarkStorey");
console.log("\nFloors");
await benchmarkBundled("benchmarkFloors");
console.log("\nCut lists");
await benchmarkBundled("benchmarkCutting");
console.log("\nThe server, killed");
await benchmarkRestart();
await withDemoServer(async (address) => {
  console.log("\nFirst load");
  printFirstLoad();
  console.log("\nThe server, a job that nobody touched");
  await benchmarkServer(address);
  console.log("\nThe server, with much to do");
  await benchmarkLoad(address);
  console.log("\nThe server, held up by one, and by many");
  await benchmarkGuard(address);
  console.log("\nThe app");
  await benchmarkEntries(address);
  console.log("\nA plan of 40 rooms and 200 walls");
  await benchmarkPlan(address);
  console.log("\nThe worksheet");
  await benchmarkWorksheet(address);
  console.log("\nA floor");
  await benchmarkDrag(address);
  console.log("\nThe model in 3D");
  await benchmarkModel(address);
});
