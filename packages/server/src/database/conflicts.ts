import { QueryFailedError } from "typeorm";

const MET_ANOTHER: ReadonlySet<unknown> = new Set([
  "ER_DUP_ENTRY",
  // Of a cluster as well: what another node committed first is found as one commits.
  "ER_LOCK_DEADLOCK",
  "ER_LOCK_WAIT_TIMEOUT",
  "ER_ERROR_DURING_COMMIT",
]);

/**
 * Whether work failed because somebody did the same at the same moment. Done again it sees what they did: the earlier answer
 * of a command sent twice, or a newer version than it was made on.
 */
export const metAnother = (error: unknown): boolean =>
  error instanceof QueryFailedError && MET_ANOTHER.has(codeOf(error.driverError));

/** A second of its kind: sent twice at the same moment, it is there when one looks again. What still is a second then is so by itself. */
export const isSecond = (error: unknown): boolean =>
  error instanceof QueryFailedError && codeOf(error.driverError) === "ER_DUP_ENTRY";

const codeOf = (error: unknown): unknown =>
  typeof error === "object" && error !== null && "code" in error ? error.code : undefined;
