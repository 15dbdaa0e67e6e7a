const { writeFileSync } = require("node:fs");
const { originalPositionFor, TraceMap } = require("@jridgewell/trace-mapping");

/** The lines of each statement of a file as it is written: worked out once, as every test has the same file. */
const known = new Map();

function linesOfStatements(path, { statementMap, inputSourceMap }) {
  const before = known.get(path);
  if (before) return before;
  const map = inputSourceMap ? new TraceMap(inputSourceMap) : undefined;
  const lineOf = ({ line, column }) => (map ? originalPositionFor(map, { line, column }).line : line);
  const lines = Object.entries(statementMap).map(([id, { start, end }]) => {
    const from = lineOf(start);
    return [id, from, Math.max(from ?? 0, lineOf(end) ?? 0)];
  });
  const mapped = lines.filter(([, from]) => typeof from === "number");
  known.set(path, mapped);
  return mapped;
}

/** Lines that a statement which ran reaches over. */
function linesRun(path, data) {
  const lines = new Set();
  for (const [id, from, to] of linesOfStatements(path, data)) {
    if (data.s[id] === 0) continue;
    for (let line = from; line <= to; line += 1) lines.add(line);
  }
  return [...lines];
}

/** Writes down, for each test file, how long it takes and the lines of each file that it runs, to `LINES_BY_TEST`. */
module.exports = class LinesByTest {
  tests = {};

  onTestResult(test, result) {
    if (result.failureMessage) console.error(result.failureMessage);
    const coverage = result.coverage ?? {};
    const lines = Object.entries(coverage).map(([path, file]) => [path, linesRun(path, file.data ?? file)]);
    this.tests[test.path] = { ms: result.perfStats.runtime, lines: Object.fromEntries(lines) };
  }

  onRunComplete() {
    writeFileSync(process.env.LINES_BY_TEST, JSON.stringify(this.tests));
  }
};
