import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import { FUNCTIONS } from "../assemblies/formula/functions";
import { PART_KINDS, partKinds } from "./registry";

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

const tests = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => name.endsWith(".test.ts"))
    .map((name) => join(folder, name));

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

describe("what every kind does", () => {
  /** `stud-wall` is `studWallKind`. */
  const constantOf = (kind: string) => `${kind.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase())}Kind`;

  it("is asked of a sample of each kind of the registry", () => {
    const asked = [...tests(__dirname), ...sources(join(__dirname, "../testing/samples"))]
      .map((path) => readFileSync(path, "utf8"))
      .join("\n");
    const without = partKinds().filter(
      ({ kind }) =>
        !["describeKind", "sampled"].some((how) => new RegExp(`${how}\\(\\s*${constantOf(kind)},`).test(asked)),
    );
    expect(without.map(({ kind }) => kind)).toEqual([]);
  });
});

describe("what formulas can say", () => {
  const guide = readFileSync(join(PACKAGES, "../docs/assemblies.md"), "utf8");

  it("has every function in the guide, and words for every name", () => {
    for (const kind of partKinds()) {
      for (const { name, says, example } of [...FUNCTIONS, ...kind.functions]) {
        expect([name, guide.includes(name)]).toEqual([name, true]);
        expect([name, says.length > 3, example.startsWith(name)]).toEqual([name, true, true]);
      }
      const named = [...kind.quantityNames, ...(kind.rows ?? []), ...(kind.rows ?? []).flatMap((rows) => rows.columns)];
      for (const { name, label } of named) expect([name, label.length > 2]).toEqual([name, true]);
    }
  });

  it("names each role once over all kinds, or as the same thing", () => {
    const seen = new Map<string, unknown>();
    for (const { roles } of partKinds()) {
      for (const role of roles) {
        expect(seen.get(role.id) ?? role).toEqual(role);
        seen.set(role.id, role);
      }
    }
  });
});
