import { createHash } from "node:crypto";
import type { Request, RequestHandler, Router } from "express";
import { ipKeyGenerator, rateLimit } from "express-rate-limit";
import type { DataSource } from "typeorm";
import { normalAddress } from "../accounts/address";
import { userEntity } from "../companies/entity";
import { inTurn } from "../http/inTurn";
import { HttpProblem } from "../http/problemDetails";
import { AttemptStore } from "./attemptStore";
import { knownDeviceEntity } from "./entity";
import { hashToken, isToken } from "./tokens";

const MINUTE_MS = 60_000;

const placeOf = (request: Request): string => ipKeyGenerator(request.ip ?? "");

const hashed = (text: string): string => createHash("sha256").update(text).digest("hex");

/** The token that was sent. What is none is one and the same for all: it opens nothing. */
const tokenIn = (body: { readonly token?: unknown } | undefined): string =>
  typeof body?.token === "string" ? body.token : "";

/** The person that a request is for: by their id where there is one, else by the address that was given, as a hash, as it may be any text. */
async function personOf(dataSource: DataSource, request: Request): Promise<string> {
  const typed: unknown = request.body?.email;
  const email = normalAddress(typeof typed === "string" ? typed.slice(0, 400) : "");
  const user = await dataSource.getRepository(userEntity).findOne({ where: { email }, select: { id: true } });
  return user?.id ?? hashed(email);
}

/** On a device where they have signed in before a person is not kept out by what others try elsewhere. */
async function placesOf(dataSource: DataSource, request: Request): Promise<string> {
  const person = await personOf(dataSource, request);
  const { device } = request;
  if (!isToken(device)) return `everywhere ${person}`;
  const deviceHash = hashToken(device);
  const isKnown = await dataSource.getRepository(knownDeviceEntity).existsBy({ userId: person, deviceHash });
  return isKnown ? `device ${deviceHash}` : `everywhere ${person}`;
}

type Tries = {
  readonly most: number;
  /** Within so many minutes. */
  readonly minutes?: number;
  /** Those that come out well do not count. */
  readonly wrongOnly: boolean;
  readonly of: (request: Request, dataSource: DataSource) => string | Promise<string>;
  readonly detail: string;
};

/** Refused before anything was tried, or right as far as it went: a crowd at the door is nobody who guesses. */
const NOT_TRIED: ReadonlySet<number> = new Set([428, 429, 503]);

const USUAL_MINUTES = 10;

/** Tries, counted in MariaDB, so that they hold over several servers and a restart. */
const limited = (
  dataSource: DataSource,
  { most, minutes = USUAL_MINUTES, wrongOnly, of, detail }: Tries,
): RequestHandler =>
  rateLimit({
    windowMs: minutes * MINUTE_MS,
    limit: most,
    skipSuccessfulRequests: wrongOnly,
    requestWasSuccessful: (_request, { statusCode }) => statusCode < 400 || NOT_TRIED.has(statusCode),
    standardHeaders: "draft-8",
    legacyHeaders: false,
    store: new AttemptStore(dataSource),
    keyGenerator: (request) => of(request, dataSource),
    handler: (_request, _response, next) => next(new HttpProblem(429, { detail })),
  });

const WRONG_PASSWORDS = "Too many wrong passwords. Wait ten minutes and try again.";
const TOO_MANY = "Too many tries. Wait ten minutes and try again.";
const FROM_MANY_PLACES =
  "Too many wrong passwords from several places. Wait an hour, sign in on a device that you have used before, or choose a new password by “Forgotten?”.";

const atPlace = (what: string) => (request: Request) => `${what} ${placeOf(request)}`;
const ofPerson = (what: string) => (request: Request) => `${what} ${request.signedIn?.user.id ?? placeOf(request)}`;

/**
 * What can be tried without being signed in is limited: by the person that it is for, by the place that it comes from (a site office shares
 * one), and by the person over all places. SP 800-63B-4, 3.2.2, allows at most 100 in a row for one account (from memory).
 */
const LIMITS: Readonly<Record<string, readonly Tries[]>> = {
  "/session": [
    { most: 60, wrongOnly: true, of: atPlace("place"), detail: WRONG_PASSWORDS },
    {
      most: 10,
      wrongOnly: true,
      of: async (request, dataSource) => `${placeOf(request)} ${await personOf(dataSource, request)}`,
      detail: WRONG_PASSWORDS,
    },
    {
      most: 50,
      minutes: 60,
      wrongOnly: true,
      of: (request, dataSource) => placesOf(dataSource, request),
      detail: FROM_MANY_PLACES,
    },
  ],
  "/account/password": [{ most: 10, wrongOnly: true, of: ofPerson("password"), detail: WRONG_PASSWORDS }],
  "/account/second-factor": [{ most: 10, wrongOnly: true, of: ofPerson("password"), detail: WRONG_PASSWORDS }],
  "/account/second-factor/confirm": [{ most: 10, wrongOnly: true, of: ofPerson("code"), detail: TOO_MANY }],
  "/account/second-factor/off": [{ most: 10, wrongOnly: true, of: ofPerson("password"), detail: WRONG_PASSWORDS }],
  "/account/second-factor/recovery-codes": [
    { most: 10, wrongOnly: true, of: ofPerson("password"), detail: WRONG_PASSWORDS },
  ],
  // Each sends a letter.
  "/account/confirm-address": [{ most: 3, wrongOnly: false, of: ofPerson("confirm"), detail: TOO_MANY }],
  "/companies": [
    { most: 20, wrongOnly: false, of: atPlace("company"), detail: TOO_MANY },
    {
      most: 3,
      wrongOnly: false,
      of: async (request, dataSource) => `company of ${await personOf(dataSource, request)}`,
      detail: TOO_MANY,
    },
  ],
  "/forgotten": [
    {
      most: 3,
      wrongOnly: false,
      of: async (request, dataSource) => `forgotten ${await personOf(dataSource, request)}`,
      detail: TOO_MANY,
    },
    { most: 30, wrongOnly: false, of: atPlace("forgotten at"), detail: TOO_MANY },
  ],
  "/invitations": [
    { most: 60, wrongOnly: false, of: ({ signedIn }) => `invites ${signedIn?.user.companyId ?? ""}`, detail: TOO_MANY },
  ],
  "/invitation": [{ most: 60, wrongOnly: true, of: atPlace("link"), detail: TOO_MANY }],
  "/invitation/accept": [
    { most: 60, wrongOnly: true, of: atPlace("link"), detail: TOO_MANY },
    // Each may send a letter.
    { most: 5, wrongOnly: false, of: ({ body }) => `accept ${hashed(tokenIn(body))}`, detail: TOO_MANY },
  ],
  "/confirm": [{ most: 60, wrongOnly: true, of: atPlace("link"), detail: TOO_MANY }],
  "/new-password": [{ most: 60, wrongOnly: true, of: atPlace("link"), detail: TOO_MANY }],
};

/** Sign-ins of one place that are under way together; the others wait, and are not yet tries: a crowd is no run of wrong passwords. */
const SIGN_INS = { most: 30, mostWaiting: 400, of: placeOf } as const;

export function limitTries(router: Router, dataSource: DataSource): void {
  router.post("/session", inTurn(SIGN_INS));
  for (const [path, limits] of Object.entries(LIMITS)) {
    router.post(path, ...limits.map((each) => limited(dataSource, each)));
  }
}
