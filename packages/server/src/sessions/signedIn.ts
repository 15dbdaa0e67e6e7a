import { timingSafeEqual } from "node:crypto";
import type { RequestHandler } from "express";
import type { DataSource } from "typeorm";
import { userEntity } from "../companies/entity";
import type { Config } from "../config";
import type { SignedIn } from "../http/endpoint";
import { HttpProblem } from "../http/problemDetails";
import { sessionEntity } from "./entity";
import { DAY_MS } from "./store";
import { hashToken } from "./tokens";

export const SESSION_COOKIE = "wide_porch_session";
const SAFE_METHODS = new Set(["GET", "HEAD", "OPTIONS"]);

/** Finds who is signed in by the cookie; says nothing when nobody is. */
export const readSession =
  (dataSource: DataSource, config: Pick<Config, "idleDays">): RequestHandler =>
  async (request, _response, next) => {
    const token: unknown = request.cookies?.[SESSION_COOKIE];
    const signedIn =
      typeof token === "string" && token.length > 0 ? await sessionBy(dataSource, token, config) : undefined;
    if (signedIn) request.signedIn = signedIn;
    next();
  };

/** When a session was last used is known to within this. */
const SEEN_EVERY_MS = 5 * 60_000;

async function sessionBy(
  dataSource: DataSource,
  token: string,
  { idleDays }: Pick<Config, "idleDays">,
): Promise<SignedIn | undefined> {
  const sessions = dataSource.getRepository(sessionEntity);
  const session = await sessions.findOneBy({ id: hashToken(token) });
  if (!session) return undefined;
  const now = new Date();
  const idleMs = now.getTime() - session.seenAt.getTime();
  if (session.expiresAt <= now || idleMs > idleDays * DAY_MS) {
    await sessions.delete({ id: session.id });
    return undefined;
  }
  const user = await dataSource.getRepository(userEntity).findOneBy({ id: session.userId });
  if (!user || user.leftAt) return undefined;
  if (idleMs > SEEN_EVERY_MS) await sessions.update({ id: session.id }, { seenAt: now });
  return { user, session };
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
