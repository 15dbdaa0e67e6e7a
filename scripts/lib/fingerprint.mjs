import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, statSync } from "node:fs";
import { join, relative } from "node:path";
import { inRoot, root } from "./paths.mjs";

const SKIPPED = new Set(["node_modules", "dist", ".expo", "coverage"]);

function* filesUnder(path, tests) {
  if (!statSync(path).isDirectory()) {
    yield path;
    return;
  }
  for (const name of readdirSync(path).sort()) {
    if (SKIPPED.has(name) || (!tests && /\.test\.tsx?$/.test(name))) continue;
    yield* filesUnder(join(path, name), tests);
  }
}

/** A hash over the files of some folders, to see whether anything made from them is out of date; tests are part of it where it is said. A copy of them elsewhere has the same. */
export function fingerprint(paths, { tests = false } = {}) {
  const hash = createHash("sha256");
  for (const path of paths.map((each) => inRoot(each)).filter(existsSync)) {
    for (const file of filesUnder(path, tests))
      hash.update(relative(root, file)).update("\0").update(readFileSync(file));
  }
  return hash.digest("hex");
}
