import { QueryFailedError } from "typeorm";

/** What of an error goes into a log. */
type FailureFacts = {
  readonly type: string;
  readonly message: string;
  readonly stack?: string;
  readonly code?: string;
};

const fieldOf = (error: object, name: string): string | undefined => {
  const value: unknown = Reflect.get(error, name);
  return typeof value === "string" ? value : undefined;
};

/** Where in the program it was, without the message that stands above. */
const placesOf = ({ stack = "" }: Error): string =>
  stack
    .split("\n")
    .filter((line) => /^\s+at /.test(line))
    .join("\n");

/**
 * A statement that failed has the values of people in it: in its parameters, its text, and in what the database says of it (`Duplicate entry
 * '…' for key …`). Of it the code, the table's own words, and the places in the program are told, and no value.
 */
function ofQuery(error: QueryFailedError): FailureFacts {
  const driver: object = error.driverError;
  const code = fieldOf(driver, "code") ?? "";
  const key = /for key '([\w.]+)'/.exec(fieldOf(driver, "sqlMessage") ?? "")?.[1];
  const statement = /^\s*(\w+(?:\s+INTO|\s+FROM)?)\s+`?(\w+)`?/i.exec(error.query);
  const where = statement ? `${statement[1]} ${statement[2]}` : "a statement";
  return {
    type: error.name,
    code,
    message: `${where} failed: ${code}${key ? ` (${key})` : ""}`,
    stack: placesOf(error),
  };
}

/** What of an error a log may have: for a failed statement none of its values. */
export function toldOf(error: unknown): FailureFacts {
  if (error instanceof QueryFailedError) return ofQuery(error);
  if (!(error instanceof Error)) return { type: typeof error, message: String(error) };
  const code = fieldOf(error, "code");
  return {
    type: error.name,
    message: error.message,
    ...(error.stack === undefined ? {} : { stack: error.stack }),
    ...(code === undefined ? {} : { code }),
  };
}

/** The same as text, to pass between threads. */
export const whyFailed = (error: unknown): string => {
  const { message, stack = "" } = toldOf(error);
  return stack.includes(message) ? stack : `${message}\n${stack}`;
};
