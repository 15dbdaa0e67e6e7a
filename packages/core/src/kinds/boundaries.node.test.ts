import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import { PART_KINDS } from "./registry";

const PACKAGES = join(__dirname, "../../..");
const SKIPPED = new Set(["node_modules", "dist", ".expo"]);

function* sources(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) {
      if (!SKIPPED.has(entry.name)) yield* sources(path);
    } else if (/\.tsx?$/.test(entry.name) && !/\.test\.tsx?$/.test(entry.name)) yield path;
  }
}

/** A kind's own folders, in core and in the app. */
const isOfOneKind = (path: string): boolean => /(^|\/)src\/kinds\/[^/]+\//.test(path);

describe("kinds of part", () => {
  it("are asked through their face alone: outside its own folders nothing compares which kind a part is", () => {
    // Figures are lengths and areas too, and a plan's shape may be a room's.
    const names = Object.keys(PART_KINDS)
      .filter((name) => !["length", "area", "room"].includes(name))
      .join("|");
    const compares = new RegExp(`\\bpart\\??\\.kind\\b\\s*[!=]==|[!=]==\\s*"(${names})"|case "(${names})":`);
    const found = ["core", "app", "server"].flatMap((name) =>
      [...sources(join(PACKAGES, name, "src"))]
        .filter((path) => !isOfOneKind(path) && compares.test(readFileSync(path, "utf8")))
        .map((path) => relative(PACKAGES, path)),
    );
    expect(found).toEqual([]);
  });
});
