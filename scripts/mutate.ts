/**
 * How well core's tests bite: changes one thing at a time in a copy of the code (an operator, a bound, a zero for a one, a
 * least for a most), runs the tests, those nearest to the place first, and counts the changes that some test notices.
 *
 *     npm run mutate -- --folder packages/core/src/order --sample 60 --seed 7 --workers 2
 *     npm run mutate -- --again earlier.log     # of the same sample, only what survived when that was written
 */
import { spawn } from "node:child_process";
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join, relative, resolve } from "node:path";
import { parseArgs } from "node:util";
import { fingerprint } from "./lib/fingerprint.mjs";
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
    workers: { type: "string", default: "2" },
    again: { type: "string" },
  },
});

/** The configuration that core's tests have anywhere. */
const [coreProject] = createRequire(__filename)(join(ROOT, "jest.config.js")).projects as [Record<string, unknown>];

type Outcome = { readonly mutant: Mutant; readonly killed: boolean };

function filesUnder(folder: string): string[] {
  return readdirSync(join(ROOT, folder), { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesUnder(path) : [path];
  });
}

const isSource = (path: string): boolean =>
  path.endsWith(".ts") && !path.endsWith(".test.ts") && !path.endsWith(".d.ts") && !path.includes("/testing/");

/** Core, and what its tests read: who asks for its names, the library, the published schemas. */
const COPIED = [
  "packages/core",
  "packages/app/app",
  "packages/app/src",
  "packages/server/src",
  "library",
  "docs",
  "e2e",
  "scripts",
];

/** A copy of what core's tests need, of its own for each worker; packages are those of the checkout. */
function copyFor(worker: number): string {
  const home = join(WORK, `copy-${worker}`);
  rmSync(home, { recursive: true, force: true });
  for (const part of COPIED)
    cpSync(join(ROOT, part), join(home, part), { recursive: true, filter: (path) => !path.endsWith("/node_modules") });
  symlinkSync(join(ROOT, "node_modules"), join(home, "node_modules"));
  const config = {
    ...coreProject,
    rootDir: home,
    // A machine with other work on it is no test that notices.
    testTimeout: 60_000,
    testSequencer: join(ROOT, "scripts/lib/givenOrder.cjs"),
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

/** How long a test file takes, and the lines of each file that it runs. */
type Reach = { readonly ms: number; readonly lines: Readonly<Record<string, readonly number[]>> };
type Kept = { readonly of: string; readonly tests: [string, Reach][] };

/** What the test files of one share reach, by a run of them, which has to pass. */
function reachOfShare(home: string, share: number, shares: number): Promise<[string, Reach][]> {
  const report = join(WORK, `reach-${share}.json`);
  const reporter = join(ROOT, "scripts/lib/linesByTest.cjs");
  const coverage = ["--coverage", "--coverageReporters=none", `--reporters=${reporter}`];
  const which = [`--shard=${share + 1}/${shares}`];
  const env = { ...process.env, LINES_BY_TEST: report };
  return new Promise((done, fail) => {
    const jest = spawn(process.execPath, [...jestArguments(home), ...which, ...coverage], {
      stdio: ["ignore", "ignore", "inherit"],
      env,
    });
    jest.on("exit", (code) => {
      if (code !== 0) return fail(new Error(`mutate: the tests do not pass as they are (share ${share + 1})`));
      const tests: Record<string, Reach> = JSON.parse(readFileSync(report, "utf8"));
      return done(
        Object.entries(tests).map(([test, { ms, lines }]) => [
          relative(home, test),
          { ms, lines: Object.fromEntries(Object.entries(lines).map(([file, run]) => [relative(home, file), run])) },
        ]),
      );
    });
  });
}

/** What each test file reaches: known from the last time while nothing of core has changed, else by a run of all in as many shares as there are copies. */
async function reachOfTests(homes: readonly string[]): Promise<Map<string, Reach>> {
  const kept = join(WORK, "reach.json");
  const now = fingerprint(["packages/core", "library", "jest.config.js", "scripts/lib/linesByTest.cjs"], {
    tests: true,
  });
  const before: Kept | undefined = existsSync(kept) ? JSON.parse(readFileSync(kept, "utf8")) : undefined;
  if (before?.of === now) return new Map(before.tests);
  const tests = (await Promise.all(homes.map((home, share) => reachOfShare(home, share, homes.length)))).flat();
  const found: Kept = { of: now, tests };
  writeFileSync(kept, JSON.stringify(found));
  return new Map(tests);
}

/** How many folders two files have in common. */
function sharedFolders(a: string, b: string): number {
  const [first, second] = [dirname(a).split("/"), dirname(b).split("/")];
  const apart = first.findIndex((folder, index) => folder !== second[index]);
  return apart < 0 ? first.length : apart;
}

/** Tests that run the line: those nearest to the file first, and of these the quickest, as most changes are noticed at once. */
const orderFor = ({ file, line }: Mutant, tests: ReadonlyMap<string, Reach>): string[] =>
  [...tests]
    .filter(([, { lines }]) => lines[file]?.includes(line))
    .toSorted(([a, first], [b, second]) => sharedFolders(b, file) - sharedFolders(a, file) || first.ms - second.ms)
    .map(([path]) => path);

/** Runs the tests in that order until one notices. */
async function isKilled(home: string, mutant: Mutant, order: readonly string[]): Promise<boolean> {
  if (order.length === 0) return false;
  writeFileSync(join(home, mutant.file), mutant.text);
  return new Promise((done) => {
    const paths = order.map((path) => join(home, path));
    const env = { ...process.env, TEST_ORDER: JSON.stringify(paths) };
    const jest = spawn(process.execPath, [...jestArguments(home), "--bail", "--runTestsByPath", ...paths], {
      stdio: "ignore",
      env,
    });
    const late = setTimeout(() => jest.kill("SIGKILL"), LONGEST_MS);
    jest.on("exit", (code) => {
      clearTimeout(late);
      writeFileSync(join(home, mutant.file), mutant.before);
      done(code !== 0);
    });
  });
}

async function work(
  home: string,
  queue: Mutant[],
  tests: ReadonlyMap<string, Reach>,
  tell: (outcome: Outcome) => void,
): Promise<void> {
  for (let mutant = queue.shift(); mutant; mutant = queue.shift()) {
    tell({ mutant, killed: await isKilled(home, mutant, orderFor(mutant, tests)) });
  }
}

const nameOf = ({ file, line, what }: Mutant): string => `${file}:${line} ${what}`;

/** Those of a sample that an earlier run's lines say survived. */
function survivedIn(log: string, sample: readonly Mutant[]): Mutant[] {
  const lines = readFileSync(log, "utf8").split("\n");
  const survived = new Set(lines.flatMap((line) => /^SURVIVED \d+\/\d+ (.*)$/.exec(line)?.[1] ?? []));
  return sample.filter((mutant) => survived.has(nameOf(mutant)));
}

async function main(): Promise<void> {
  mkdirSync(WORK, { recursive: true });
  const homes = Array.from({ length: Number(options.workers) }, (_, index) => copyFor(index));
  if (homes.length === 0) throw new Error("mutate: at least one worker");
  const all = filesUnder(relative(ROOT, resolve(ROOT, options.folder)))
    .filter(isSource)
    .flatMap((file) => mutantsOf(file, readFileSync(join(ROOT, file), "utf8")));
  const whole = sampler(Number(options.seed))(all, Number(options.sample));
  const sample = options.again === undefined ? whole : survivedIn(options.again, whole);
  const started = performance.now();
  const tests = await reachOfTests(homes);
  const seconds = () => ((performance.now() - started) / 1000).toFixed(0);
  console.log(`what ${tests.size} test files reach is known after ${seconds()} s`);
  const outcomes: Outcome[] = [];
  const queue = [...sample];
  const tell = (outcome: Outcome) => {
    outcomes.push(outcome);
    const { mutant, killed } = outcome;
    console.log(`${killed ? "killed  " : "SURVIVED"} ${outcomes.length}/${sample.length} ${nameOf(mutant)}`);
  };
  await Promise.all(homes.map((home) => work(home, queue, tests, tell)));
  const killed = outcomes.filter((each) => each.killed).length;
  console.log(
    `\n${killed} of ${outcomes.length} killed, ${((100 * killed) / outcomes.length).toFixed(1)} %, of ${all.length} possible changes (seed ${options.seed}), in ${seconds()} s`,
  );
  for (const { mutant } of outcomes.filter((each) => !each.killed)) console.log(`  ${nameOf(mutant)}`);
}

void main();
