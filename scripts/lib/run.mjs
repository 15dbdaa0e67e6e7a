import { spawn } from "node:child_process";
import { root } from "./paths.mjs";

/** Runs a program to its end with its output on ours. Resolves to the exit code. */
export function run(program, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, { cwd: root, stdio: "inherit", ...options });
    child.once("error", reject);
    child.once("exit", (code, signal) => resolve(code ?? (signal ? 128 : 1)));
  });
}

/** Runs a program and keeps what it says. Resolves to the exit code and that. */
export function runQuietly(program, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, { cwd: root, stdio: ["ignore", "pipe", "pipe"], ...options });
    const said = [];
    for (const stream of [child.stdout, child.stderr]) stream.on("data", (chunk) => said.push(chunk));
    child.once("error", reject);
    child.once("close", (code, signal) => {
      resolve({ code: code ?? (signal ? 128 : 1), output: Buffer.concat(said).toString("utf8") });
    });
  });
}

/** Runs a program that must succeed. */
export async function must(program, args, options = {}) {
  const code = await run(program, args, options);
  if (code !== 0) throw new Error(`${program} ${args.join(" ")} ended with ${code}`);
}

/** Ends a child: asks, then after `patienceMs` insists. Resolves once it is gone. */
export function endChild(child, signal = "SIGTERM", patienceMs = 15_000) {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((resolve) => {
    const insist = setTimeout(() => child.kill("SIGKILL"), patienceMs);
    child.once("exit", () => {
      clearTimeout(insist);
      resolve();
    });
    child.kill(signal);
  });
}
