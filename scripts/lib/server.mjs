import { spawn } from "node:child_process";
import { inRoot, root } from "./paths.mjs";

/** Starts the API server and resolves once it listens. */
export function startServer(environment) {
  const child = spawn(process.execPath, ["--import", "tsx", inRoot("packages/server/src/main.ts")], {
    cwd: root,
    env: { ...process.env, ...environment },
    stdio: ["ignore", "inherit", "inherit", "ipc"],
    // Ctrl-C reaches us, and we stop it: otherwise the database could go first.
    detached: true,
  });
  return new Promise((resolve, reject) => {
    child.once("message", ({ listening }) => resolve({ child, port: listening }));
    child.once("error", reject);
    child.once("exit", (code) => reject(new Error(`The server ended with ${code} before it listened.`)));
  });
}
