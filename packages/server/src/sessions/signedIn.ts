import { timingSafeEqual } from "node:crypto";
import type { RequestHandler } from "express";
import type { DataSource } from "typeorm";
import type { UserRow } from "../companies/entity";
import type { Config } from "../config";
import { HttpProblem } from "../http/problemDetails";
import type { SignedIn } from "../http/signedIn";
import { cookieNames } from "./cookies";
import { type SessionRow, sessionEntity } from "./entity";
import { DAY_MS } from "./store";
import { hashToken } from "./tokens";

const SAFE_METHODS = new Set(["GET", "HEAD", "OPTIONS"]);
const HOUR_MS = 3_600_000;

export type Limits = Pick<Config, "idleDays" | "longestDays">;

const textIn = (cookies: unknown, name: string): string | undefined => {
  const value = typeof cookies === "object" && cookies !== null ? Reflect.get(cookies, name) : undefined;
  return typeof value === "string" && value !== "" ? value : undefined;
};

/** Finds who is signed in by the cookie, and what the device is known by; says nothing when nobody is. */
export function readSession(dataSource: DataSource, config: Limits & Pick<Config, "secureCookies">): RequestHandler {
  const names = cookieNames(config.secureCookies);
  return async (request, _response, next) => {
    const token = textIn(request.cookies, names.session);
    const device = textIn(request.cookies, names.device);
    if (device !== undefined) request.device = device;
    const signedIn = token === undefined ? undefined : await sessionBy(dataSource, token, config);
    if (signedIn) request.signedIn = signedIn;
    next();
  };
}

/** When a session was last used is known to within this. */
const SEEN_EVERY_MS = 5 * 60_000;

/** All that is asked of each request, in one look. */
type Found = SessionRow &
  Omit<UserRow, "id"> & {
    idleHours: number | null;
    longestDays: number | null;
    secondFactorForAll: number;
    secondFactor: number;
  };

const FIND = `SELECT session.*, user.companyId, user.email, user.name, user.role, user.passwordHash, user.leftAt, user.addressConfirmed,
    company.idleHours, company.longestDays, company.secondFactorForAll,
    EXISTS (SELECT 1 FROM second_factor WHERE second_factor.userId = user.id AND confirmedAt IS NOT NULL) AS secondFactor
  FROM session JOIN user ON user.id = session.userId JOIN company ON company.id = user.companyId WHERE session.id = ?`;

/** A company's own limits are never longer than the server's. */
const isOver = (found: Found, now: number, { idleDays, longestDays }: Limits): boolean => {
  const idleMs = Math.min(idleDays * DAY_MS, found.idleHours === null ? Infinity : found.idleHours * HOUR_MS);
  const longestMs = Math.min(longestDays, found.longestDays ?? Infinity) * DAY_MS;
  const isIdle = now - found.seenAt.getTime() > idleMs;
  return found.expiresAt.getTime() <= now || isIdle || now - found.createdAt.getTime() > longestMs;
};

async function sessionBy(dataSource: DataSource, token: string, limits: Limits): Promise<SignedIn | undefined> {
  const [found]: Found[] = await dataSource.query(FIND, [hashToken(token)]);
  if (!found) return undefined;
  const sessions = dataSource.getRepository(sessionEntity);
  const now = new Date();
  if (isOver(found, now.getTime(), limits)) {
    await sessions.delete({ id: found.id });
    return undefined;
  }
  if (found.leftAt) return undefined;
  if (now.getTime() - found.seenAt.getTime() > SEEN_EVERY_MS) await sessions.update({ id: found.id }, { seenAt: now });
  const { id, userId, csrfToken, expiresAt, createdAt, seenAt, device, deviceHash, ...rest } = found;
  const { companyId, email, name, role, passwordHash, leftAt, addressConfirmed } = rest;
  return {
    user: {
      id: userId,
      companyId,
      email,
      name,
      role,
      passwordHash,
      leftAt,
      addressConfirmed: Boolean(addressConfirmed),
    },
    session: { id, userId, csrfToken, expiresAt, createdAt, seenAt, device, deviceHash },
    needsSecondFactor: Number(rest.secondFactorForAll) === 1 && Number(rest.secondFactor) === 0,
  };
}

/** For what is costly even to read. */
export const requireSignedIn: RequestHandler = (request, _response, next) => {
  if (!request.signedIn) throw new HttpProblem(401);
  next();
};

/** By their bytes: letters beyond ASCII take several, and buffers of two lengths cannot be compared. */
function sameText(a: string, b: string): boolean {
  const [first, second] = [Buffer.from(a), Buffer.from(b)];
  return first.length === second.length && timingSafeEqual(first, second);
}

/** A change made with a session's cookie must carry the session's own token, which another site cannot read. */
export const requireCsrfToken: RequestHandler = (request, _response, next) => {
  if (SAFE_METHODS.has(request.method) || !request.signedIn) {
    next();
    return;
  }
  const sent = request.get("x-csrf-token") ?? "";
  if (!sameText(sent, request.signedIn.session.csrfToken)) {
    const message = "The request lacks this session's token. Reload the page.";
    throw new HttpProblem(403, { detail: message, problems: [{ code: "old-token", path: "x-csrf-token", message }] });
  }
  next();
};
