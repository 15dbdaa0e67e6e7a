import { fork } from "node:child_process";
import { builtScript } from "../builtScript";

const PATIENCE_MS = 20_000;

export type Forked = { readonly said: Readonly<Record<string, string>>; readonly stop: () => Promise<void> };

const textsOf = (message: unknown): Record<string, string> =>
  typeof message === "object" && message !== null
    ? Object.fromEntries(Object.entries(message).filter(([, value]) => typeof value === "string"))
    : {};

/** Starts a stand-in as a process of its own. Resolves to where it says that it listens; throws when it does not say. */
export function forkStandIn(script: string): Promise<Forked> {
  const child = fork(builtScript(script), { stdio: ["ignore", "ignore", "inherit", "ipc"] });
  const stop = async (): Promise<void> => {
    if (child.connected) child.disconnect();
  };
  return new Promise((done, fail) => {
    const timer = setTimeout(() => fail(new Error(`forkStandIn: ${script} did not start`)), PATIENCE_MS);
    child.once("message", (message) => {
      clearTimeout(timer);
      done({ said: textsOf(message), stop });
    });
    child.once("exit", (code) => {
      clearTimeout(timer);
      fail(new Error(`forkStandIn: ${script} ended with ${code}`));
    });
  });
}
