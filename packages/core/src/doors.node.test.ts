import { resolve } from "node:path";
import { build } from "esbuild";

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

  it("the worker's one leads to all of it", async () => {
    const files = await reached("reckoning.ts");
    for (const each of ["formula/parse", "countPart", "stud-wall/build", "cutting/columns", "orderJob"]) {
      expect(files.some((file) => file.includes(each))).toBe(true);
    }
  });
});
