import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { freePort, runStartCommand } from "./startCommand";

/** The real start command on fresh data, for all the tests; stopped, as by Ctrl-C, at the end. */
export default async function globalSetup() {
  const dataFolder = mkdtempSync(join(tmpdir(), "wide porch "));
  const running = await runStartCommand(dataFolder, await freePort());
  process.env.WIDE_PORCH_ADDRESS = running.address;
  return async () => {
    await running.stop();
    rmSync(dataFolder, { recursive: true, force: true });
  };
}
