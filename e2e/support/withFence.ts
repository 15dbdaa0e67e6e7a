import { execFileSync } from "node:child_process";
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { basename, join, resolve } from "node:path";

const root = resolve(__dirname, "../..");
const LEFT = new Set(["node_modules", ".git", ".test-data", ".data", ".cache", "dist", "dist-fresh", ".expo"]);

/** The one import and the one line that a registry gets. */
type Registry = { readonly file: string; readonly imports: string; readonly after: string; readonly line: string };

const REGISTRIES: readonly Registry[] = [
  {
    file: "packages/core/src/kinds/registry.ts",
    imports: 'import { fenceKind } from "./fence";',
    after: "export const PART_KINDS = {",
    line: "  fence: fenceKind,",
  },
  {
    file: "packages/core/src/kinds/builds.ts",
    imports: 'import { layOutFence } from "./fence/build/layOut";',
    after: "const BUILDS: Builds = {",
    line: "  fence: layOutFence,",
  },
  {
    file: "packages/app/src/kinds/registry.ts",
    imports: 'import { fenceFace } from "./fence";',
    after: "const FACES: Faces = {",
    line: "  fence: fenceFace,",
  },
];

function register(copy: string, { file, imports, after, line }: Registry): void {
  const path = join(copy, file);
  const text = readFileSync(path, "utf8");
  if (!text.includes(after)) throw new Error(`withFence: ${file} has no “${after}”`);
  writeFileSync(path, `${imports}\n${text.replace(after, `${after}\n${line}`)}`);
}

/** Hard links: a copy of all packages by content would take minutes. */
function linkPackages(from: string, to: string): void {
  execFileSync("cp", ["-al", from, to], { stdio: "ignore" });
}

/**
 * A copy of the product with a kind of part more: two folders, and an import and a line in each of three registries. Nothing
 * else of it is touched. Gives the copy's folder; it is the caller's to take away.
 */
export function copyWithFence(): string {
  const copy = join(root, ".test-data", `fence-${process.pid}`);
  rmSync(copy, { recursive: true, force: true });
  mkdirSync(copy, { recursive: true });
  const parts = ["packages", "library", "scripts", "docs", "e2e"];
  const files = ["package.json", "package-lock.json", "tsconfig.base.json", "jest.config.js"];
  for (const each of [...parts, ...files]) {
    cpSync(join(root, each), join(copy, each), { recursive: true, filter: (path) => !LEFT.has(basename(path)) });
  }
  linkPackages(join(root, "node_modules"), join(copy, "node_modules"));
  // Where two versions of a package are wanted one lies with what wants it.
  for (const each of readdirSync(join(root, "packages"))) {
    const own = join("packages", each, "node_modules");
    if (existsSync(join(root, own))) linkPackages(join(root, own), join(copy, own));
  }
  cpSync(join(root, "e2e/fence/core"), join(copy, "packages/core/src/kinds/fence"), { recursive: true });
  cpSync(join(root, "e2e/fence/app"), join(copy, "packages/app/src/kinds/fence"), { recursive: true });
  for (const registry of REGISTRIES) register(copy, registry);
  return copy;
}

/** Runs a script of the copy's packages; throws with what it said when it fails. */
export function runIn(copy: string, program: string, ...args: readonly string[]): void {
  try {
    execFileSync(process.execPath, [join(copy, "node_modules", program), ...args], {
      cwd: copy,
      encoding: "utf8",
      stdio: "pipe",
    });
  } catch (error) {
    const { stdout = "", stderr = "" } = error as { stdout?: string; stderr?: string };
    throw new Error(`${program} ${args.join(" ")}: ${stdout}${stderr}`);
  }
}
