import type { Problem } from "@wide-porch/core";
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
  })
  .meta({ id: "ProblemDetails" });
export type ProblemDetails = z.infer<typeof problemDetailsSchema>;

const TITLES: Record<number, string> = {
  400: "The request cannot be read",
  401: "Sign in first",
  403: "Not allowed",
  404: "Not found",
  409: "Changed by someone else meanwhile",
  413: "Too large to send",
  415: "Not JSON",
  422: "Some values do not fit",
  429: "Too many tries",
  500: "Something failed on the server",
  503: "The database does not answer",
};

export class HttpProblem extends Error {
  readonly details: ProblemDetails;

  constructor(status: number, extra: Partial<Omit<ProblemDetails, "status">> = {}) {
    super(extra.detail ?? TITLES[status] ?? "Error");
    this.details = { type: "about:blank", title: TITLES[status] ?? "Error", status, ...extra };
  }

  /** A problem that was met elsewhere. */
  static of({ status, ...extra }: ProblemDetails): HttpProblem {
    return new HttpProblem(status, extra);
  }
}

/** More is asked at once than can be done; the same can be sent again. */
export const busy = (): HttpProblem =>
  new HttpProblem(503, {
    title: "Too much at once",
    detail: "The server has more to do than it can. Try again in a moment.",
  });

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

/** A body-parser failure carries its status; anything else unknown is ours, and says nothing of the inside. */
export function toProblem(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error;
  if (error instanceof z.ZodError) return unfit(problemsOf(error));
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
  const status = typeof error === "object" && error !== null && "status" in error ? Number(error.status) : 500;
  if (status >= 400 && status < 500) return new HttpProblem(status);
  return new HttpProblem(500);
}

/** So long a database takes to be back, about. */
const RETRY_AFTER_S = 5;

export const problemHandler: ErrorRequestHandler = (error, request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const { details } = toProblem(error);
  if (details.status === 503) response.setHeader("Retry-After", String(RETRY_AFTER_S));
  if (details.status >= 500) request.log?.error({ err: error }, "request failed");
  response.status(details.status).type("application/problem+json").send(JSON.stringify(details));
};
