import { type ChildProcess, spawn } from "node:child_process";
import { createServer } from "node:net";
import { resolve } from "node:path";

const root = resolve(__dirname, "../..");
/** A fresh machine installs and builds first. */
const STARTING_MS = 600_000;

export type Running = { readonly address: string; readonly child: ChildProcess; readonly stop: () => Promise<void> };

export function freePort(): Promise<number> {
  return new Promise((done, fail) => {
    const server = createServer();
    server.once("error", fail);
    server.listen(0, "127.0.0.1", () => {
      const address = server.address();
      const port = typeof address === "object" && address ? address.port : 0;
      server.close(() => done(port));
    });
  });
}

/** Runs what `npm start` runs, here or in a copy, on a port and a data folder of its own, and waits for the line that says it is ready. */
export async function runStartCommand(
  dataFolder: string,
  port: number,
  folder = root,
  environment: Readonly<Record<string, string>> = {},
): Promise<Running> {
  const child = spawn(process.execPath, [resolve(folder, "scripts/start.mjs")], {
    cwd: folder,
    env: { ...process.env, PORT: String(port), WIDE_PORCH_DATA: dataFolder, ...environment },
    stdio: ["ignore", "pipe", "inherit"],
  });
  const address = `http://127.0.0.1:${port}`;
  await new Promise<void>((done, fail) => {
    const timer = setTimeout(() => fail(new Error("the start command was not ready in ten minutes")), STARTING_MS);
    child.stdout?.on("data", (chunk: Buffer) => {
      if (!chunk.toString().includes(`ready at ${address}`)) return;
      clearTimeout(timer);
      done();
    });
    child.once("exit", (code) => fail(new Error(`the start command ended with ${code}`)));
  });
  const stop = () =>
    new Promise<void>((done) => {
      if (child.exitCode !== null || child.signalCode !== null) {
        done();
        return;
      }
      child.once("exit", () => done());
      child.kill("SIGINT");
    });
  return { address, child, stop };
}
