import type { Problem } from "@wide-porch/core";
import { z } from "zod";
import { noteBuild } from "./build";
import { noteServerTime } from "./clock";
import { waitForTurn } from "./turn";

const API = "/api/v1";

const problemDetailsSchema = z.object({
  title: z.string(),
  status: z.number(),
  detail: z.string().optional(),
  problems: z.array(z.object({ code: z.string(), path: z.string(), message: z.string() })).optional(),
  current: z.unknown().optional(),
});

/** The server answered, and said no. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly problems: readonly Problem[],
    readonly current: unknown,
  ) {
    super(message);
  }
}

/** The server did not answer: no signal, or it is not running. */
export class NoAnswer extends Error {
  constructor() {
    super("No answer from the server. What you entered is kept on this device.");
  }
}

/** The server has more to do than it can: nothing was done, and the same is asked again when it says. */
export class Busy extends NoAnswer {
  constructor(
    message: string,
    readonly retryAfterMs: number,
  ) {
    super();
    this.message = message;
  }
}

/** The server answered, but not what this program understands: it is newer, or the network put its own page in between. */
export class NotUnderstood extends Error {
  constructor() {
    super(
      "The server's answer is not understood here. Reload the page for the newest version, and look at the network.",
    );
  }
}

let csrfToken = "";
export const keepCsrfToken = (token: string): void => {
  csrfToken = token;
};

async function problemFrom(response: Response): Promise<ApiProblem> {
  const body: unknown = await response.json().catch(() => undefined);
  const read = problemDetailsSchema.safeParse(body);
  if (!read.success) return new ApiProblem(response.status, `The server answered ${response.status}.`, [], undefined);
  const { title, detail, problems = [], current } = read.data;
  return new ApiProblem(response.status, detail ?? title, problems, current);
}

/** So often what the server is too busy for is asked again before somebody is told that it is. */
const MOST_RETRIES = 8;
const LONGEST_RETRY_MS = 30_000;

/** Asks again when the server says; meanwhile it is said on screen that this waits, and behind how much. */
async function whenThereIsRoom(ask: () => Promise<Response>): Promise<Response> {
  for (let tries = 0; ; tries += 1) {
    try {
      return await ask();
    } catch (error) {
      if (!(error instanceof Busy) || tries >= MOST_RETRIES) throw error;
      await waitForTurn(error.message, Math.min(LONGEST_RETRY_MS, error.retryAfterMs));
    }
  }
}

type Sent = {
  readonly body?: BodyInit;
  readonly contentType?: string;
  readonly commandId?: string;
  /** The tag of the answer that is known already: 304 where it is the same. */
  readonly ifNoneMatch?: string | undefined;
};
/** `commandId`: the name of a change that counts once, however often it is sent. */
export type Once = Pick<Sent, "commandId">;

/** Who asks for the session anew where another tab has signed in since; told of by the session itself. */
let renewToken: (() => Promise<boolean>) | undefined;
export const renewTokenBy = (renew: () => Promise<boolean>): void => {
  renewToken = renew;
};

/** The session's token is an old one where somebody signed in anew in another tab: it is asked for, and the same is sent once more. */
async function request(method: string, path: string, sent: Sent = {}): Promise<Response> {
  try {
    return await whenThereIsRoom(() => requestOnce(method, path, sent));
  } catch (error) {
    const isOld = error instanceof ApiProblem && error.problems.some(({ code }) => code === "old-token");
    if (!isOld || !(await renewToken?.())) throw error;
    return requestOnce(method, path, sent);
  }
}

const retryAfterMs = (response: Response): number =>
  1000 * Math.max(1, Number(response.headers.get("retry-after")) || 2);

/** The company asks for a second factor since: whoever shows the page is told of it. */
let secondFactorAsked: (() => void) | undefined;
export const onSecondFactorAsked = (tell: () => void): void => {
  secondFactorAsked = tell;
};

async function requestOnce(method: string, path: string, sent: Sent): Promise<Response> {
  const { body, contentType, commandId, ifNoneMatch } = sent;
  const headers: Record<string, string> = { accept: "application/json" };
  if (ifNoneMatch) headers["if-none-match"] = ifNoneMatch;
  if (commandId) headers["idempotency-key"] = commandId;
  if (contentType) headers["content-type"] = contentType;
  if (method !== "GET") headers["x-csrf-token"] = csrfToken;
  // What is kept of answers is kept by the app itself, sealed: the browser keeps none.
  const init: RequestInit = { method, headers, credentials: "same-origin", cache: "no-store" };
  if (body !== undefined) init.body = body;
  let response: Response;
  try {
    response = await fetch(`${API}${path}`, init);
  } catch {
    throw new NoAnswer();
  }
  noteServerTime(response.headers.get("date"), Date.now());
  noteBuild(response.headers.get("wide-porch-build"));
  if (response.ok || (response.status === 304 && ifNoneMatch !== undefined)) return response;
  const problem = await problemFrom(response);
  if (problem.problems.some(({ code }) => code === "busy")) throw new Busy(problem.message, retryAfterMs(response));
  // A gateway that finds nobody behind it is no answer of ours.
  if (response.status === 502 || response.status === 503 || response.status === 504) throw new NoAnswer();
  if (problem.problems.some(({ code }) => code === "second-factor-first")) secondFactorAsked?.();
  throw problem;
}

const json = (body: unknown): Sent =>
  body === undefined ? {} : { body: JSON.stringify(body), contentType: "application/json" };

/** Asks the API and checks the answer's shape. Throws ApiProblem, NoAnswer or NotUnderstood. */
export async function ask<T>(
  schema: z.ZodType<T>,
  method: string,
  path: string,
  body?: unknown,
  more: Once = {},
): Promise<T> {
  return readAnswer(schema, await request(method, path, { ...json(body), ...more }));
}

/** An answer with its tag; undefined where it is still the one of the tag that is known. */
export type Tagged<T> = { readonly answer: T; readonly tag: string | undefined } | undefined;

export async function askTagged<T>(schema: z.ZodType<T>, path: string, known: string | undefined): Promise<Tagged<T>> {
  const response = await request("GET", path, { ifNoneMatch: known });
  if (response.status === 304) return undefined;
  return { answer: await readAnswer(schema, response), tag: response.headers.get("etag") ?? undefined };
}

async function readAnswer<T>(schema: z.ZodType<T>, response: Response): Promise<T> {
  const answer: unknown = await response.json().catch(() => undefined);
  const read = schema.safeParse(answer);
  if (!read.success) throw new NotUnderstood();
  return read.data;
}

export async function tell(method: string, path: string, body?: unknown): Promise<void> {
  await request(method, path, json(body));
}

const bytesOf = (bytes: Blob): Sent => ({ body: bytes, contentType: bytes.type || "application/octet-stream" });

/** Sends a file as it is. */
export async function sendBytes(path: string, bytes: Blob): Promise<void> {
  await request("PUT", path, bytesOf(bytes));
}

/** Sends a file as it is, and checks the answer's shape. */
export const askWithBytes = async <T>(schema: z.ZodType<T>, path: string, bytes: Blob): Promise<T> =>
  readAnswer(schema, await request("PUT", path, bytesOf(bytes)));

/** Fetches a file. */
export async function fetchBytes(path: string): Promise<Blob> {
  return (await request("GET", path)).blob();
}

/** Fetches a file and hands it to the browser to keep, so that a refusal can be shown where it happened. */
export async function download(path: string, fallbackName: string): Promise<void> {
  const response = await request("GET", path);
  const named = /filename="([^"]+)"/.exec(response.headers.get("content-disposition") ?? "")?.[1];
  const url = URL.createObjectURL(await response.blob());
  const link = document.createElement("a");
  link.href = url;
  link.download = named ?? fallbackName;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
