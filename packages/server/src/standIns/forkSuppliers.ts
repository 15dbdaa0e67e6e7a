import { fork } from "node:child_process";
import { builtScript } from "../builtScript";
import type { StandIn } from "./roofReports";

const PATIENCE_MS = 20_000;

const addressOf = (message: unknown): string | undefined =>
  typeof message === "object" && message !== null && "address" in message && typeof message.address === "string"
    ? message.address
    : undefined;

/** Starts the suppliers' stand-in as a process of its own. Throws when it does not say where it listens. */
export function forkSuppliers(): Promise<StandIn> {
  const child = fork(builtScript("suppliersMain.js"), {
    stdio: ["ignore", "ignore", "inherit", "ipc"],
  });
  const stop = async (): Promise<void> => {
    if (child.connected) child.disconnect();
  };
  return new Promise((done, fail) => {
    const timer = setTimeout(
      () => fail(new Error("forkSuppliers: the suppliers' stand-in did not start")),
      PATIENCE_MS,
    );
    child.once("message", (message) => {
      clearTimeout(timer);
      const address = addressOf(message);
      if (address === undefined) fail(new Error("forkSuppliers: the suppliers' stand-in named no address"));
      else done({ address, stop });
    });
    child.once("exit", (code) => {
      clearTimeout(timer);
      fail(new Error(`forkSuppliers: the suppliers' stand-in ended with ${code}`));
    });
  });
}
