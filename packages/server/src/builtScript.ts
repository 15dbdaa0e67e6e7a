import { dirname, join } from "node:path";

/** A script that runs in a thread or a process of its own: bundled by `npm start` and by the tests before anything runs. */
export const builtScript = (name: string): string =>
  join(dirname(require.resolve("@wide-porch/server/package.json")), "dist", name);
