import type { Problem } from "@wide-porch/core";
import { plural } from "@wide-porch/core";
import type { ErrorRequestHandler, RequestHandler } from "express";
import { z } from "zod";
import { metAnother } from "../database/conflicts";
import { databaseIsGone } from "../database/noAnswer";

/** RFC 9457, with the fields that did not fit and, for a conflict, the newer state. */
export const problemDetailsSchema = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.int(),
    detail: z.string().optional(),
    problems: z.array(z.object({ code: z.string(), path: z.string(), message: z.string() })).optional(),
    current: z.unknown().optional(),
    /** Pieces of the company's work that wait before this one would. */
    waiting: z.int().optional(),
  })
  .meta({ id: "ProblemDetails" });
export type ProblemDetails = z.infer<typeof problemDetailsSchema>;

const TITLES: Record<number, string> = {
  400: "The request cannot be read",
  401: "Sign in first",
  403: "Not allowed",
  404: "Not found",
  408: "Sent too slowly",
  409: "Changed by someone else meanwhile",
  413: "Too large to send",
  415: "Not JSON",
  422: "Some values do not fit",
  429: "Too many tries",
  500: "Something failed on the server",
  428: "A second factor is needed",
  503: "The database does not answer",
};

export class HttpProblem extends Error {
  readonly details: ProblemDetails;
  /** When the same may be sent again, where that is known. */
  readonly retryAfterS?: number;

  constructor(status: number, extra: Partial<Omit<ProblemDetails, "status">> = {}) {
    super(extra.detail ?? TITLES[status] ?? "Error");
    this.details = { type: "about:blank", title: TITLES[status] ?? "Error", status, ...extra };
  }

  /** A problem that was met elsewhere. */
  static of({ status, ...extra }: ProblemDetails): HttpProblem {
    return new HttpProblem(status, extra);
  }
}

type Busy = {
  /** It is the asker's own that is too much (429), not everybody's together (503). */
  readonly ownFault?: boolean;
  /** How many pieces of their work wait already. */
  readonly waiting?: number;
  readonly retryAfterS?: number;
};

const inSeconds = (seconds: number): string => plural(seconds, "in a second", `in ${seconds} seconds`);

/** More is asked at once than can be done; the same can be sent again, and when is said. */
export function busy({ ownFault = false, waiting, retryAfterS = 2 }: Busy = {}): HttpProblem {
  const again = `Try again ${inSeconds(retryAfterS)}.`;
  const waits = plural(
    waiting ?? 0,
    "One piece of your company's work waits",
    `${waiting} pieces of your company's work wait`,
  );
  const why = waiting === undefined ? "The server has more to do than it can." : `${waits} before this one.`;
  const problem = new HttpProblem(ownFault ? 429 : 503, {
    title: "Too much at once",
    detail: `${why} ${again}`,
    problems: [{ code: "busy", path: "", message: `${why} ${again}` }],
    ...(waiting === undefined ? {} : { waiting }),
  });
  return Object.assign(problem, { retryAfterS });
}

export const notFound = (what: string): HttpProblem => new HttpProblem(404, { detail: `There is no such ${what}.` });

export const unfit = (problems: readonly Problem[]): HttpProblem =>
  new HttpProblem(422, { detail: problems[0]?.message ?? "", problems: [...problems] });

/** More than anybody reads. */
const MOST_TOLD = 200;

/** The paths and messages of a Zod failure, under the name of what was checked. */
export const problemsOf = (error: z.ZodError): Problem[] =>
  error.issues
    .slice(0, MOST_TOLD)
    .map((issue) => ({ code: issue.code, path: issue.path.map(String).join("."), message: issue.message }));

export const unknownRoute: RequestHandler = (request) => {
  throw new HttpProblem(404, { detail: `Nothing answers ${request.method} ${request.path}.` });
};

/** What a reader of bodies gives up with: its sender went away, or sent what is none. It is no failure of the database, whatever its code. */
function statusSaid(error: unknown): number | undefined {
  if (typeof error !== "object" || error === null || !("status" in error)) return undefined;
  const status = Number(error.status);
  return status >= 400 && status < 500 ? status : undefined;
}

/** A body-parser failure carries its status; anything else unknown is ours, and says nothing of the inside. */
export function toProblem(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error;
  if (error instanceof z.ZodError) return unfit(problemsOf(error));
  const said = statusSaid(error);
  if (said !== undefined) return new HttpProblem(said);
  if (metAnother(error)) {
    return new HttpProblem(409, { detail: "The same was saved at the same moment. Load it again and look." });
  }
  // An answer, or a text in it, of more letters than the language has room for.
  if (error instanceof RangeError && /Invalid (string|array) length/.test(error.message)) {
    return new HttpProblem(422, {
      detail: "This comes to more than can be answered at once. Split it into smaller ones.",
    });
  }
  if (databaseIsGone(error))
    return new HttpProblem(503, { detail: "Nothing was saved. The same can be sent again in a moment." });
  return new HttpProblem(500);
}

/** So long a database takes to be back, about. */
const RETRY_AFTER_S = 5;

export const problemHandler: ErrorRequestHandler = (error, request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const { details, retryAfterS = RETRY_AFTER_S } = toProblem(error);
  if (details.status === 503 || details.status === 429) {
    if (!response.getHeader("Retry-After")) response.setHeader("Retry-After", String(retryAfterS));
  }
  if (details.status >= 500) request.log?.error({ err: error }, "request failed");
  response.status(details.status).type("application/problem+json").send(JSON.stringify(details));
};
