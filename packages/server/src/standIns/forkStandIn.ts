import { fork } from "node:child_process";
import type { Logger } from "pino";
import { builtScript } from "../builtScript";

export type Forked = { readonly stop: () => Promise<void> };

/** Starts a stand-in as a process of its own, to listen at those ports. It is not waited for: whoever asks it early asks again. */
export function forkStandIn(script: string, ports: readonly number[], logger: Logger): Forked {
  const child = fork(builtScript(script), ports.map(String), { stdio: ["ignore", "ignore", "inherit", "ipc"] });
  let stopping = false;
  child.once("exit", (code) => {
    if (!stopping) logger.error({ script, code }, "a stand-in has ended");
  });
  return {
    stop: async () => {
      stopping = true;
      if (child.connected) child.disconnect();
    },
  };
}
