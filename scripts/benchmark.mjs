import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import { benchmarkPlan } from "./benchmarkPlan.mjs";
import { launchChromium } from "./lib/chromium.mjs";
import { withDemoServer } from "./lib/demoServer.mjs";
import { inRoot } from "./lib/paths.mjs";
import { must } from "./lib/run.mjs";
import { report, timeUntilShown } from "./lib/timing.mjs";
import { webFolder } from "./lib/webBuild.mjs";

/** Prints what the app is measured by. Nothing here fails a test: figures belong to the machine they were taken on. */
const THROTTLE = 4;
const ROUNDS = 60;

function printFirstLoad() {
  const folder = join(webFolder, "_expo/static/js/web");
  for (const name of readdirSync(folder).filter((each) => each.endsWith(".js"))) {
    const size = gzipSync(readFileSync(join(folder, name))).length / 1000;
    console.log(`${name.replace(/-[0-9a-f]{32}/, "").padEnd(52)} ${size.toFixed(0)} kB gzipped`);
  }
}

async function timeEntries(address) {
  const browser = await launchChromium();
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(address);
  await page.getByRole("button", { name: /Ros Adeyemi-Lund/ }).click();
  await page.getByText("Lantern House").click();
  await page.getByRole("link", { name: /^House wall/ }).click();
  const session = await page.context().newCDPSession(page);
  await session.send("Emulation.setCPUThrottlingRate", { rate: THROTTLE });
  const keys = [];
  const counts = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    // 24 ft and then some at 16 in: the number of studs changes at each entry.
    const feet = round % 2 === 0 ? 28 : 24;
    await page.getByRole("button", { name: /^Length: / }).click();
    await page.locator(".pad-entry").waitFor();
    keys.push(
      await page.evaluate(timeUntilShown, { text: `${feet}'`, wanted: `= ${feet}' 0"`, selector: "#tape-pad-result" }),
    );
    const wanted = feet === 28 ? "10 studs" : "7 studs";
    counts.push(await page.evaluate(timeUntilShown, { wanted, selector: '[data-testid="live-count"]', enter: true }));
    await page.keyboard.press("Escape");
  }
  await browser.close();
  report(`Key press to its result, CPU throttled ${THROTTLE}x`, keys, 100);
  report(`Entry to the new count on screen, CPU throttled ${THROTTLE}x`, counts, 100);
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
console.log("\nCut lists");
await benchmarkBundled("benchmarkCutting");
await withDemoServer(async (address) => {
  console.log("\nFirst load");
  printFirstLoad();
  console.log("\nThe app");
  await timeEntries(address);
  console.log("\nA plan of 40 rooms and 200 walls");
  await benchmarkPlan(address);
});
