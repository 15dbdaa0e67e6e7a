import { readdirSync, readFileSync } from "node:fs";
import { extname, join, resolve } from "node:path";
import { build } from "esbuild";

const ROOT = resolve(__dirname, "../../..");
const OUTSIDE = ["packages/app/app", "packages/app/src", "packages/server/src", "library", "e2e", "scripts"];
const NOT_OURS = /node_modules|dist|test-results/;

function* sourcesUnder(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    if (NOT_OURS.test(entry.name)) continue;
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* sourcesUnder(path);
    else if ([".ts", ".tsx", ".mjs"].includes(extname(path))) yield readFileSync(path, "utf8");
  }
}

const namesIn = (list: string): string[] =>
  list
    .split(",")
    .map((each) =>
      each
        .trim()
        .replace(/^type /, "")
        .replace(/ as .*$/, ""),
    )
    .filter((each) => each !== "");

const listsBefore = (source: RegExp, text: string): string[] =>
  [...text.matchAll(source)].flatMap(([, list = ""]) => namesIn(list));

const IMPORTED = /\{([^{}]*)\} from "(?:@wide-porch\/core|[./]*packages\/core\/src)(?:\/reckoning|\/index)?"/g;
const EXPORTED = /^export (?:type )?\{([^{}]*)\} from/gm;

/** Every file a bundle from this door would take in. */
async function reached(door: string): Promise<string[]> {
  const { metafile } = await build({
    entryPoints: [resolve(__dirname, door)],
    bundle: true,
    write: false,
    metafile: true,
    format: "esm",
    platform: "browser",
    logLevel: "error",
  });
  return Object.keys(metafile.inputs);
}

const HEAVY = /mathjs|jsonc-parser|formula\/parse|compileAssembly|countPart|\/build\/layOut|cutting\/columns|orderJob/;

describe("the two doors of core", () => {
  it("the pages' one leads to nothing that compiles, lays out, counts or cuts", async () => {
    expect((await reached("index.ts")).filter((file) => HEAVY.test(file))).toEqual([]);
  });

  it("neither has a name that nobody outside asks for, nor all that a folder happens to have", () => {
    const asked = new Set(
      OUTSIDE.flatMap((each) => [...sourcesUnder(join(ROOT, each))]).flatMap((text) => listsBefore(IMPORTED, text)),
    );
    const doors = ["index.ts", "reckoning.ts"].map((each) => readFileSync(join(__dirname, each), "utf8"));
    const offered = doors.flatMap((text) => listsBefore(EXPORTED, text));
    expect(offered.length).toBeGreaterThan(300);
    expect(offered.filter((name) => !asked.has(name))).toEqual([]);
    expect(doors.flatMap((text) => text.match(/^export \* from .*$/gm) ?? [])).toEqual(['export * from "./index";']);
  });

  it("the worker's one leads to all of it", async () => {
    const files = await reached("reckoning.ts");
    for (const each of ["formula/parse", "countPart", "stud-wall/build", "cutting/columns", "orderJob"]) {
      expect(files.some((file) => file.includes(each))).toBe(true);
    }
  });
});
