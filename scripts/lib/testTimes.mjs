import { readFileSync, writeFileSync } from "node:fs";
import { cpus } from "node:os";
import { inRoot, root } from "./paths.mjs";

const LEAST_S = 5;

const read = (file) => JSON.parse(readFileSync(file, "utf8"));

/** Each test file that Jest ran, with its seconds. */
export const jestTimes = (file) =>
  read(file).testResults.map(({ name, startTime, endTime }) => ({
    name: name.slice(root.length + 1),
    seconds: (endTime - startTime) / 1000,
  }));

const specsOf = ({ suites = [], specs = [] }) => [...specs, ...suites.flatMap(specsOf)];

/** Each browser test with its seconds, tries that failed among them. */
export const playwrightTimes = (file) =>
  specsOf(read(file)).flatMap(({ title, file: spec, tests }) =>
    tests.map(({ projectName, results }) => ({
      name: `e2e/${spec} (${projectName}): ${title}`,
      seconds: results.reduce((sum, { duration }) => sum + duration, 0) / 1000,
    })),
  );

const sum = (rows) => rows.reduce((total, { seconds }) => total + seconds, 0);
const cell = (text) => text.replaceAll("|", "\\|");
const row = ({ name, seconds }) => `| ${cell(name)} | ${seconds.toFixed(0)} |`;
const table = (head, rows) => [`| ${head} | s |`, "| --- | ---: |", ...rows.map(row), ""];

/** Where the time of a whole run went: step by step, and the files and stories that take longest. */
export function writeTimes(steps, files) {
  const long = files.filter(({ seconds }) => seconds >= LEAST_S).toSorted((a, b) => b.seconds - a.seconds);
  const rest = files.filter(({ seconds }) => seconds < LEAST_S);
  const lines = [
    "# Where the time of the tests goes",
    "",
    `\`npm test -- --times\` writes this page. Seconds on ${cpus().length} cores; steps that run side by side count each for itself.`,
    "",
    ...table("Step", [...steps, { name: "**all of them, one after another**", seconds: sum(steps) }]),
    `Files of unit tests and stories in the browser that take ${LEAST_S} s or more; ${rest.length} shorter ones take ${sum(rest).toFixed(0)} s together. Two run at a time.`,
    "",
    ...table("File or story", long),
  ];
  writeFileSync(inRoot("docs/test-times.md"), lines.join("\n"));
}
