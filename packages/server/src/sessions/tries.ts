import { createHash } from "node:crypto";
import type { Request, RequestHandler, Router } from "express";
import { ipKeyGenerator, rateLimit } from "express-rate-limit";
import type { DataSource } from "typeorm";
import { inTurn } from "../http/inTurn";
import { HttpProblem } from "../http/problemDetails";
import { AttemptStore } from "./attemptStore";

const WINDOW_MS = 10 * 60_000;

const placeOf = (request: Request): string => ipKeyGenerator(request.ip ?? "");

const hashed = (text: string): string => createHash("sha256").update(text).digest("hex");
/** The person that a request is for, however their address was typed; a hash, as it may be any text. */
const personOf = (request: Request): string => {
  const email: unknown = request.body?.email;
  return hashed(typeof email === "string" ? email.trim().toLowerCase() : "");
};

type Tries = {
  readonly most: number;
  /** Those that come out well do not count. */
  readonly wrongOnly: boolean;
  readonly of: (request: Request) => string;
  readonly detail: string;
};

/** Refused before anything was tried: a crowd at the door is nobody who guesses. */
const NOT_TRIED: ReadonlySet<number> = new Set([429, 503]);

/** Tries, counted in MariaDB, so that they hold over several servers and a restart. */
const limited = (dataSource: DataSource, { most, wrongOnly, of, detail }: Tries): RequestHandler =>
  rateLimit({
    windowMs: WINDOW_MS,
    limit: most,
    skipSuccessfulRequests: wrongOnly,
    requestWasSuccessful: (_request, { statusCode }) => statusCode < 400 || NOT_TRIED.has(statusCode),
    standardHeaders: "draft-8",
    legacyHeaders: false,
    store: new AttemptStore(dataSource),
    keyGenerator: of,
    handler: (_request, _response, next) => next(new HttpProblem(429, { detail })),
  });

const WRONG_PASSWORDS = "Too many wrong passwords. Wait ten minutes and try again.";
const TOO_MANY = "Too many tries. Wait ten minutes and try again.";

/** What can be tried without being signed in is limited: by the person that it is for, and by the place that it comes from. A site office shares one. */
const LIMITS: Readonly<Record<string, readonly Tries[]>> = {
  "/session": [
    { most: 60, wrongOnly: true, of: (request) => `place ${placeOf(request)}`, detail: WRONG_PASSWORDS },
    {
      most: 10,
      wrongOnly: true,
      of: (request) => `${placeOf(request)} ${personOf(request)}`,
      detail: WRONG_PASSWORDS,
    },
  ],
  "/account/password": [
    {
      most: 10,
      wrongOnly: true,
      of: (request) => `password ${request.signedIn?.user.id ?? placeOf(request)}`,
      detail: WRONG_PASSWORDS,
    },
  ],
  "/companies": [{ most: 20, wrongOnly: false, of: (request) => `company ${placeOf(request)}`, detail: TOO_MANY }],
  "/forgotten": [
    { most: 3, wrongOnly: false, of: (request) => `forgotten ${personOf(request)}`, detail: TOO_MANY },
    { most: 30, wrongOnly: false, of: (request) => `forgotten at ${placeOf(request)}`, detail: TOO_MANY },
  ],
  // Each sends a letter.
  "/invitations": [
    { most: 60, wrongOnly: false, of: ({ signedIn }) => `invites ${signedIn?.user.companyId ?? ""}`, detail: TOO_MANY },
  ],
  "/invitation": [{ most: 60, wrongOnly: true, of: (request) => `link ${placeOf(request)}`, detail: TOO_MANY }],
  "/invitation/accept": [{ most: 60, wrongOnly: true, of: (request) => `link ${placeOf(request)}`, detail: TOO_MANY }],
  "/new-password": [{ most: 60, wrongOnly: true, of: (request) => `link ${placeOf(request)}`, detail: TOO_MANY }],
};

/** Sign-ins of one place that are under way together; the others wait, and are not yet tries: a crowd is no run of wrong passwords. */
const SIGN_INS = { most: 30, mostWaiting: 400, of: placeOf } as const;

export function limitTries(router: Router, dataSource: DataSource): void {
  router.post("/session", inTurn(SIGN_INS));
  for (const [path, limits] of Object.entries(LIMITS)) {
    router.post(path, ...limits.map((each) => limited(dataSource, each)));
  }
}
