import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { delimiter, join } from "node:path";
import { fingerprint } from "./fingerprint.mjs";
import { withLock } from "./lock.mjs";
import { inRoot } from "./paths.mjs";
import { must } from "./run.mjs";

const SYSTEM_FOLDERS = ["/usr/sbin", "/usr/bin", "/usr/local/sbin", "/usr/local/bin"];

/** Where a program is, or undefined. Looks beyond PATH: servers live in sbin, which users often lack. */
export function findProgram(name) {
  const folders = [...(process.env.PATH ?? "").split(delimiter), ...SYSTEM_FOLDERS];
  return folders.map((folder) => join(folder, name)).find((path) => existsSync(path));
}

export class NotInstalled extends Error {}

/** Installs Debian packages when their programs are missing. Throws NotInstalled, with what to do, when not root. */
export async function ensureDebian(programs, packages, purpose) {
  if (programs.every(findProgram)) return;
  const command = `apt-get install ${packages.join(" ")}`;
  if (process.getuid?.() !== 0 || !findProgram("apt-get")) {
    throw new NotInstalled(`${purpose} is not installed. As root, run:\n\n    ${command}\n\nthen start again.`);
  }
  console.log(`Installing ${purpose} ...`);
  const options = { env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" } };
  const wait = ["-o", "DPkg::Lock::Timeout=600"];
  await withLock("apt", async () => {
    if (programs.every(findProgram)) return;
    await must("apt-get", [...wait, "-qq", "update"], options);
    await must("apt-get", [...wait, "-qq", "-y", "--no-install-recommends", "install", ...packages], options);
  });
}

/** Installs the npm packages of the lockfile, once for each lockfile. */
export async function ensurePackages() {
  const marker = inRoot("node_modules", ".wide-porch");
  const wanted = fingerprint(["package-lock.json"]);
  const isReady = () => existsSync(marker) && readFileSync(marker, "utf8") === wanted;
  if (isReady()) return;
  await withLock("npm", async () => {
    if (isReady()) return;
    console.log("Installing npm packages ...");
    // Not `npm ci`: that refuses the whole lockfile where a registry lacks a binary for some other platform.
    await must("npm", ["install", "--no-save", "--no-audit", "--no-fund", "--loglevel=error"]);
    mkdirSync(inRoot("node_modules"), { recursive: true });
    writeFileSync(marker, wanted);
  });
}
