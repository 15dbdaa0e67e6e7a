import { mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { inRoot } from "./paths.mjs";

const isRunning = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === "EPERM";
  }
};

function holder(folder) {
  try {
    return Number(readFileSync(join(folder, "pid"), "utf8"));
  } catch {
    // Made a moment ago and not signed yet, or just given back.
    return undefined;
  }
}

/** Does `work` while no other start or test of this checkout does the same. A lock left by a dead process is taken over. */
export async function withLock(name, work) {
  const folder = inRoot(".cache", `${name}.lock`);
  mkdirSync(inRoot(".cache"), { recursive: true });
  for (let unsigned = 0; ; ) {
    try {
      mkdirSync(folder);
      break;
    } catch (error) {
      if (error.code !== "EEXIST") throw error;
    }
    const pid = holder(folder);
    unsigned = pid === undefined ? unsigned + 1 : 0;
    if ((pid !== undefined && !isRunning(pid)) || unsigned > 20) rmSync(folder, { recursive: true, force: true });
    else await pause(250);
  }
  writeFileSync(join(folder, "pid"), String(process.pid));
  try {
    return await work();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
