const { writeFileSync } = require("node:fs");
const { createCoverageMap } = require("istanbul-lib-coverage");
const { createSourceMapStore } = require("istanbul-lib-source-maps");

/** Lines that a statement which ran reaches over, in the files as they are written. */
function linesRun(file) {
  const lines = new Set();
  const { statementMap, s: runs } = file.toJSON();
  for (const [id, { start, end }] of Object.entries(statementMap)) {
    if (runs[id] === 0) continue;
    for (let line = start.line; line <= end.line; line += 1) lines.add(line);
  }
  return [...lines];
}

/** Writes down, for each test file, how long it takes and the lines of each file that it runs, to `LINES_BY_TEST`. */
module.exports = class LinesByTest {
  tests = {};
  waiting = [];

  onTestResult(test, result) {
    if (result.failureMessage) console.error(result.failureMessage);
    const coverage = result.coverage ?? {};
    this.waiting.push(this.note(test.path, result.perfStats.runtime, coverage));
  }

  async note(path, ms, coverage) {
    const mapped = await createSourceMapStore().transformCoverage(createCoverageMap(coverage));
    const lines = Object.fromEntries(mapped.files().map((file) => [file, linesRun(mapped.fileCoverageFor(file))]));
    this.tests[path] = { ms, lines };
  }

  async onRunComplete() {
    await Promise.all(this.waiting);
    writeFileSync(process.env.LINES_BY_TEST, JSON.stringify(this.tests));
  }
};
