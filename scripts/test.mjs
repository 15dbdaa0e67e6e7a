import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { ensureDebian, ensurePackages, NotInstalled } from "./lib/install.mjs";
import { FOR_TESTS, startMariadb } from "./lib/mariadb.mjs";
import { inRoot } from "./lib/paths.mjs";
import { run, runQuietly } from "./lib/run.mjs";
import { jestTimes, playwrightTimes, writeTimes } from "./lib/testTimes.mjs";
import { ensureWebBuild } from "./lib/webBuild.mjs";

/**
 * `npm test`: everything. `npm test -- --quick`: what is looked at before a commit, without a database or a browser. `npm test -- --times`:
 * everything, and where the time went into `docs/test-times.md`.
 */
const QUICK = process.argv.includes("--quick");
const WRITE_TIMES = process.argv.includes("--times");

const bin = (name) => inRoot("node_modules/.bin", name);
const results = inRoot(".test-data");
const jestResults = inRoot(".test-data/jest.json");
const playwrightResults = inRoot(".test-data/playwright.json");
/** Jest takes one less than there are, which of two leaves one idle. */
const WORKERS = "--maxWorkers=2";

const totals = { passed: 0, failed: 0 };
const failures = [];
const times = [];

function count(name, passed, failed) {
  totals.passed += passed;
  totals.failed += failed;
  if (failed > 0) failures.push(name);
}

async function timed(name, work) {
  const from = performance.now();
  const result = await work();
  times.push({ name, seconds: (performance.now() - from) / 1000 });
  return result;
}

/** A check that passes or fails as a whole. What it says stands together, whatever runs beside it. */
async function check(name, program, args) {
  const { code, output } = await timed(name, () => runQuietly(program, args));
  console.log(`\n== ${name}: ${code === 0 ? "well" : "failed"}\n${code === 0 ? "" : output}`);
  count(name, code === 0 ? 1 : 0, code === 0 ? 0 : 1);
}

/** The compiler of the newest version: the one that other tools look into is older, and a quarter as fast. */
const types = (part) => [process.execPath, [inRoot("node_modules/typescript-native/bin/tsc"), "-p", part]];
const TYPED = ["packages/core", "packages/core/tsconfig.node.json", "packages/server", "packages/app", "e2e"];

async function checkStatically() {
  await check("Format", bin("biome"), ["format", "."]);
  await check("Lint", bin("biome"), ["lint", "--error-on-warnings", "."]);
  for (const part of TYPED) await check(`Types of ${part}`, ...types(part));
}

const checkBoundaries = () =>
  check("Boundaries", bin("depcruise"), ["--config", ".dependency-cruiser.cjs", "packages", "library"]);

/** A runner that writes down how many of its tests passed; one that breaks off, or runs none, counts as a failure. */
async function suite(name, program, args, resultFile, read, options) {
  console.log(`\n== ${name}`);
  rmSync(resultFile, { force: true });
  const code = await timed(name, () => run(program, args, options));
  const { passed, failed } = existsSync(resultFile)
    ? read(JSON.parse(readFileSync(resultFile, "utf8")))
    : { passed: 0, failed: 0 };
  const brokeOff = (code !== 0 && failed === 0) || passed + failed === 0;
  count(name, passed, failed + (brokeOff ? 1 : 0));
}

const ofJest = (json) => ({
  passed: json.numPassedTests,
  failed: json.numFailedTests + json.numRuntimeErrorTestSuites,
});
const jest = (name, more, options) =>
  suite(name, bin("jest"), ["--json", `--outputFile=${jestResults}`, WORKERS, ...more], jestResults, ofJest, options);

async function testUnits() {
  const folder = inRoot(".test-data", `database-${process.pid}`);
  const database = await startMariadb(folder, undefined, FOR_TESTS);
  try {
    await jest("Unit and server tests", [], { env: { ...process.env, ...database.environment } });
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

const testInChromium = () =>
  suite(
    "The app in Chromium",
    bin("playwright"),
    ["test"],
    playwrightResults,
    (json) => ({ passed: json.stats.expected + json.stats.flaky, failed: json.stats.unexpected }),
    { cwd: inRoot("e2e") },
  );

async function testAll() {
  await timed("Packages", ensurePackages);
  mkdirSync(results, { recursive: true });
  if (QUICK) {
    await Promise.all([checkStatically(), checkBoundaries()]);
    await jest("Unit tests", ["--selectProjects", "core", "app", "screens"]);
  } else {
    await ensureDebian(["chromium"], ["chromium"], "Chromium");
    await ensureDebian(["pdftotext"], ["poppler-utils"], "Poppler");
    // Two at a time: what is built takes one core for as long as the checks take the other.
    await Promise.all([checkStatically().then(checkBoundaries), timed("The web app's build", ensureWebBuild)]);
    await testUnits();
    await testInChromium();
    if (WRITE_TIMES) writeTimes(times, [...jestTimes(jestResults), ...playwrightTimes(playwrightResults)]);
  }
  for (const { name, seconds } of times) console.log(`${seconds.toFixed(0).padStart(5)} s  ${name}`);
  if (failures.length > 0) console.log(`\nFailed: ${failures.join(", ")}`);
  console.log(`\n${totals.passed} passed, ${totals.failed} failed`);
  process.exitCode = totals.failed > 0 ? 1 : 0;
}

testAll().catch((error) => {
  console.error(error instanceof NotInstalled ? error.message : error);
  console.log(`\n${totals.passed} passed, ${totals.failed + 1} failed`);
  process.exitCode = 1;
});
