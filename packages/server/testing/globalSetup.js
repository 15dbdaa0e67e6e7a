const path = require("node:path");

/** The server's threads bundled, and a database of the tests' own, unless `npm test` has started one already. */
module.exports = async () => {
  const { ensureServerBuild } = await import("../../../scripts/lib/serverBuild.mjs");
  await ensureServerBuild();
  if (process.env.WIDE_PORCH_DB_PORT) return;
  const { FOR_TESTS, startMariadb } = await import("../../../scripts/lib/mariadb.mjs");
  const database = await startMariadb(path.resolve(__dirname, "../../../.test-data/jest"), undefined, FOR_TESTS);
  Object.assign(process.env, database.environment);
  globalThis.stopTestDatabase = database.stop;
};
