const path = require("node:path");
const { createConnection } = require("mysql2/promise");

/** The server's threads bundled, and a database of the tests' own, unless `npm test` has started one already. */
module.exports = async () => {
  const { ensureServerBuild } = await import("../../../scripts/lib/serverBuild.mjs");
  await ensureServerBuild();
  if (!process.env.WIDE_PORCH_DB_PORT) await startOwn();
  await dropTemplate();
};

/** One that is left of an earlier run may be of an earlier program. */
async function dropTemplate() {
  const { WIDE_PORCH_DB_PORT: port, WIDE_PORCH_DB_USER: user, WIDE_PORCH_DB_PASSWORD: password } = process.env;
  const connection = await createConnection({ host: "127.0.0.1", port: Number(port), user, password });
  await connection.query("DROP DATABASE IF EXISTS wide_porch_test_template");
  await connection.end();
}

async function startOwn() {
  const { FOR_TESTS, startMariadb } = await import("../../../scripts/lib/mariadb.mjs");
  const database = await startMariadb(path.resolve(__dirname, "../../../.test-data/jest"), undefined, FOR_TESTS);
  Object.assign(process.env, database.environment);
  globalThis.stopTestDatabase = database.stop;
}
