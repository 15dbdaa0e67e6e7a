import { spawnSync } from "node:child_process";
import { resolve } from "node:path";
import { expect, test } from "./support/app";

/** The whole of it is `npm run faults`: 1,000 changes through 20 kills. */
test("changes that were acknowledged are there after the server and the database were killed under them", () => {
  test.setTimeout(240_000);
  const script = resolve(__dirname, "../scripts/faults.mjs");
  const { stdout, stderr, status } = spawnSync(process.execPath, [script, "150", "4"], { encoding: "utf8" });
  expect(stdout + stderr).toContain("lost 0, doubled 0, torn 0");
  expect(stdout).toMatch(/the server killed [1-9] times, the database [1-9] times/);
  expect(status).toBe(0);
});
