import { CannotExecuteNotConnectedError } from "typeorm";

/** Of the network and of the driver: the database is not there, or went away meanwhile. */
const NO_ANSWER: ReadonlySet<unknown> = new Set([
  "ECONNREFUSED",
  "ECONNRESET",
  "ECONNABORTED",
  "EPIPE",
  "ETIMEDOUT",
  "EHOSTUNREACH",
  "ENOTFOUND",
  "PROTOCOL_CONNECTION_LOST",
  "PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR",
  "POOL_CLOSED",
  "ER_SERVER_SHUTDOWN",
  "ER_NORMAL_SHUTDOWN",
  "ER_CON_COUNT_ERROR",
  "ER_CONNECTION_KILLED",
  // A node of a cluster that has lost the others takes no commands until it is back with them.
  "ER_UNKNOWN_COM_ERROR",
]);

const WORDS =
  /^(Pool is closed|Connection is not established|Can't add new command when connection is in closed state|Connection lost)/;

const fieldOf = (error: object, name: "code" | "message" | "driverError"): unknown =>
  name in error ? (error as Readonly<Record<string, unknown>>)[name] : undefined;

/**
 * Whether work failed because the database did not answer, not because of what was asked. Nothing was saved, and the same may be asked again
 * once it is back.
 */
export function databaseIsGone(error: unknown): boolean {
  if (typeof error !== "object" || error === null) return false;
  if (error instanceof CannotExecuteNotConnectedError) return true;
  const message = fieldOf(error, "message");
  if (NO_ANSWER.has(fieldOf(error, "code")) || (typeof message === "string" && WORDS.test(message))) return true;
  return databaseIsGone(fieldOf(error, "driverError"));
}
