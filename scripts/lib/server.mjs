import { spawn } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { root } from "./paths.mjs";
import { ensureServerBuild, serverBuild, serverFolder } from "./serverBuild.mjs";

/** What the program as a whole is called: the server, and the web app that it sends. */
function buildOf(webFolder = "") {
  const marker = join(webFolder, ".fingerprint");
  const web = existsSync(marker) ? readFileSync(marker, "utf8") : "";
  return createHash("sha256").update(serverBuild()).update(web).digest("hex");
}

/** Starts the API server and resolves once it listens. */
export async function startServer(environment) {
  await ensureServerBuild();
  const child = spawn(process.execPath, [join(serverFolder, "main.js")], {
    cwd: root,
    env: { ...process.env, WIDE_PORCH_BUILD: buildOf(environment.WIDE_PORCH_WEB), ...environment },
    stdio: ["ignore", "inherit", "inherit", "ipc"],
    // Ctrl-C reaches us, and we stop it: otherwise the database could go first.
    detached: true,
  });
  return new Promise((resolve, reject) => {
    child.once("message", ({ listening, letters }) => resolve({ child, port: listening, letters }));
    child.once("error", reject);
    child.once("exit", (code) => reject(new Error(`The server ended with ${code} before it listened.`)));
  });
}
