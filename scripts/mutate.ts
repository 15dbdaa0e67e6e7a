/**
 * How well core's tests bite: changes one thing at a time in a copy of the code (an operator, a bound, a zero for a one, a
 * least for a most), runs the tests that reach the place, and counts the changes that some test notices.
 *
 *     npm run mutate -- --folder packages/core/src/order --sample 60 --seed 7 --workers 2
 */
import { execFileSync, spawn } from "node:child_process";
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { dirname, join, relative, resolve } from "node:path";
import { parseArgs } from "node:util";
import { type Mutant, mutantsOf } from "./lib/mutants";
import { sampler } from "./lib/sampler";

const ROOT = resolve(__dirname, "..");
const WORK = join(ROOT, ".test-data", "mutate");
const CORE = "packages/core/src";
/** A change that makes a loop endless is noticed by the clock. */
const LONGEST_MS = 240_000;

const { values: options } = parseArgs({
  options: {
    folder: { type: "string", default: CORE },
    sample: { type: "string", default: "300" },
    seed: { type: "string", default: "1" },
    workers: { type: "string", default: "1" },
  },
});

type Outcome = { readonly mutant: Mutant; readonly killed: boolean };

function filesUnder(folder: string): string[] {
  return readdirSync(join(ROOT, folder), { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesUnder(path) : [path];
  });
}

const isSource = (path: string): boolean =>
  path.endsWith(".ts") && !path.endsWith(".test.ts") && !path.endsWith(".d.ts") && !path.includes("/testing/");

/** A copy of what core's tests need, of its own for each worker; packages are those of the checkout. */
function copyFor(worker: number): string {
  const home = join(WORK, `copy-${worker}`);
  rmSync(home, { recursive: true, force: true });
  for (const part of ["packages/core", "library", "docs"])
    cpSync(join(ROOT, part), join(home, part), { recursive: true });
  symlinkSync(join(ROOT, "node_modules"), join(home, "node_modules"));
  const swc = { jsc: { parser: { syntax: "typescript" }, target: "es2022" }, module: { type: "commonjs" } };
  const config = {
    rootDir: home,
    roots: ["<rootDir>/packages/core/src", "<rootDir>/library"],
    testEnvironment: "node",
    testMatch: ["**/*.test.ts"],
    transform: { "^.+\\.tsx?$": ["@swc/jest", swc] },
    cacheDirectory: join(WORK, `cache-${worker}`),
    moduleNameMapper: {
      "^@wide-porch/core$": "<rootDir>/packages/core/src/index.ts",
      "^@wide-porch/core/reckoning$": "<rootDir>/packages/core/src/reckoning.ts",
      "^@wide-porch/library$": "<rootDir>/library/index.ts",
    },
  };
  writeFileSync(join(home, "jest.config.json"), JSON.stringify(config));
  return home;
}

const JEST = join(ROOT, "node_modules/jest/bin/jest.js");
const jestArguments = (home: string): string[] => [
  JEST,
  "--config",
  join(home, "jest.config.json"),
  "--silent",
  "--runInBand",
];

type Reach = Readonly<Record<string, readonly (readonly [from: number, to: number])[]>>;

/** Which lines a test file reaches, by the coverage of a run of it alone; kept between runs while nothing has changed. */
function reachOf(home: string, test: string): Reach {
  const folder = join(WORK, "coverage");
  const run = [...jestArguments(home), "--coverage", "--coverageProvider=v8", "--coverageReporters=json"];
  rmSync(folder, { recursive: true, force: true });
  execFileSync(process.execPath, [...run, `--coverageDirectory=${folder}`, "--runTestsByPath", join(home, test)], {
    stdio: "ignore",
  });
  const report: Record<
    string,
    { s: Record<string, number>; statementMap: Record<string, { start: { line: number }; end: { line: number } }> }
  > = JSON.parse(readFileSync(join(folder, "coverage-final.json"), "utf8"));
  const entries = Object.entries(report).map(([path, { s, statementMap }]) => {
    const lines = Object.entries(statementMap).flatMap(([key, { start, end }]) =>
      (s[key] ?? 0) > 0 ? [[start.line, end.line] as const] : [],
    );
    return [relative(home, path), lines] as const;
  });
  return Object.fromEntries(entries);
}

type Tests = { readonly path: string; readonly ms: number; readonly reach: Reach };

function allTests(home: string): Tests[] {
  const paths = [...filesUnder(CORE), ...filesUnder("library")].filter((path) => path.endsWith(".test.ts"));
  return paths.map((path, index) => {
    const start = Date.now();
    const reach = reachOf(home, path);
    process.stderr.write(`\rreach of ${index + 1} of ${paths.length} test files `);
    return { path, ms: Date.now() - start, reach };
  });
}

/** Those that reach the line: beside the file first, then the quickest. */
function testsFor({ file, line }: Mutant, tests: readonly Tests[]): string[] {
  const near = (path: string) => Number(dirname(path) !== dirname(file));
  return tests
    .filter(({ reach }) => (reach[file] ?? []).some(([from, to]) => line >= from && line <= to))
    .toSorted((a, b) => near(a.path) - near(b.path) || a.ms - b.ms)
    .map(({ path }) => path);
}

/** One test file after another, until one notices. */
async function isKilled(home: string, mutant: Mutant, tests: readonly string[]): Promise<boolean> {
  for (const test of tests) if (!(await passes(home, test, mutant))) return true;
  return false;
}

function passes(home: string, test: string, { text, file }: Mutant): Promise<boolean> {
  writeFileSync(join(home, file), text);
  return new Promise((done) => {
    const jest = spawn(process.execPath, [...jestArguments(home), "--bail", "--runTestsByPath", join(home, test)], {
      stdio: "ignore",
    });
    const late = setTimeout(() => jest.kill("SIGKILL"), LONGEST_MS);
    jest.on("exit", (code) => {
      clearTimeout(late);
      done(code === 0);
    });
  });
}

async function work(
  home: string,
  queue: Mutant[],
  tests: readonly Tests[],
  tell: (outcome: Outcome) => void,
): Promise<void> {
  for (let mutant = queue.shift(); mutant; mutant = queue.shift()) {
    const killed = await isKilled(home, mutant, testsFor(mutant, tests));
    writeFileSync(join(home, mutant.file), mutant.before);
    tell({ mutant, killed });
  }
}

async function main(): Promise<void> {
  mkdirSync(WORK, { recursive: true });
  const homes = Array.from({ length: Number(options.workers) }, (_, index) => copyFor(index));
  const [first] = homes;
  if (!first || !existsSync(first)) throw new Error("mutate: at least one worker");
  const all = filesUnder(relative(ROOT, resolve(ROOT, options.folder)))
    .filter(isSource)
    .flatMap((file) => mutantsOf(file, readFileSync(join(ROOT, file), "utf8")));
  const sample = sampler(Number(options.seed))(all, Number(options.sample));
  const tests = allTests(first);
  const outcomes: Outcome[] = [];
  const queue = [...sample];
  const tell = (outcome: Outcome) => {
    outcomes.push(outcome);
    const { mutant, killed } = outcome;
    console.log(
      `${killed ? "killed  " : "SURVIVED"} ${outcomes.length}/${sample.length} ${mutant.file}:${mutant.line} ${mutant.what}`,
    );
  };
  await Promise.all(homes.map((home) => work(home, queue, tests, tell)));
  const killed = outcomes.filter((each) => each.killed).length;
  console.log(
    `\n${killed} of ${outcomes.length} killed, ${((100 * killed) / outcomes.length).toFixed(1)} %, of ${all.length} possible changes (seed ${options.seed})`,
  );
  for (const { mutant } of outcomes.filter((each) => !each.killed))
    console.log(`  ${mutant.file}:${mutant.line} ${mutant.what}`);
}

void main();
