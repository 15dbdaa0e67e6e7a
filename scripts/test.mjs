import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { ensureDebian, ensurePackages, NotInstalled } from "./lib/install.mjs";
import { FOR_TESTS, startMariadb } from "./lib/mariadb.mjs";
import { inRoot } from "./lib/paths.mjs";
import { run } from "./lib/run.mjs";

const bin = (name) => inRoot("node_modules/.bin", name);
const results = inRoot(".test-data");
const jestResults = inRoot(".test-data/jest.json");
const playwrightResults = inRoot(".test-data/playwright.json");

const totals = { passed: 0, failed: 0 };
const failures = [];

function count(name, passed, failed) {
  totals.passed += passed;
  totals.failed += failed;
  if (failed > 0) failures.push(name);
}

/** A check that passes or fails as a whole. */
async function check(name, program, args) {
  console.log(`\n== ${name}`);
  const code = await run(program, args);
  count(name, code === 0 ? 1 : 0, code === 0 ? 0 : 1);
}

/** A runner that writes down how many of its tests passed; one that breaks off, or runs none, counts as a failure. */
async function suite(name, program, args, resultFile, read, options) {
  console.log(`\n== ${name}`);
  rmSync(resultFile, { force: true });
  const code = await run(program, args, options);
  const { passed, failed } = existsSync(resultFile)
    ? read(JSON.parse(readFileSync(resultFile, "utf8")))
    : { passed: 0, failed: 0 };
  const brokeOff = (code !== 0 && failed === 0) || passed + failed === 0;
  count(name, passed, failed + (brokeOff ? 1 : 0));
}

async function testAll() {
  await ensurePackages();
  await ensureDebian(["chromium"], ["chromium"], "Chromium");
  await ensureDebian(["pdftotext"], ["poppler-utils"], "Poppler");
  mkdirSync(results, { recursive: true });

  await check("Format", bin("biome"), ["format", "."]);
  await check("Lint", bin("biome"), ["lint", "--error-on-warnings", "."]);
  await check("Boundaries", bin("depcruise"), ["--config", ".dependency-cruiser.cjs", "packages", "library"]);
  for (const part of ["packages/core", "packages/core/tsconfig.node.json", "packages/server", "packages/app", "e2e"]) {
    await check(`Types of ${part}`, bin("tsc"), ["-p", part]);
  }

  const database = await startMariadb(inRoot(".test-data", `database-${process.pid}`), undefined, FOR_TESTS);
  try {
    await suite(
      "Unit and server tests",
      bin("jest"),
      ["--json", `--outputFile=${jestResults}`],
      jestResults,
      (json) => ({ passed: json.numPassedTests, failed: json.numFailedTests + json.numRuntimeErrorTestSuites }),
      { env: { ...process.env, ...database.environment } },
    );
  } finally {
    await database.stop();
    rmSync(inRoot(".test-data", `database-${process.pid}`), { recursive: true, force: true });
  }

  await suite(
    "The app in Chromium",
    bin("playwright"),
    ["test"],
    playwrightResults,
    (json) => ({ passed: json.stats.expected + json.stats.flaky, failed: json.stats.unexpected }),
    { cwd: inRoot("e2e") },
  );

  if (failures.length > 0) console.log(`\nFailed: ${failures.join(", ")}`);
  console.log(`\n${totals.passed} passed, ${totals.failed} failed`);
  process.exitCode = totals.failed > 0 ? 1 : 0;
}

testAll().catch((error) => {
  console.error(error instanceof NotInstalled ? error.message : error);
  console.log(`\n${totals.passed} passed, ${totals.failed + 1} failed`);
  process.exitCode = 1;
});
