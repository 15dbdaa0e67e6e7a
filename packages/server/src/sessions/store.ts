import type { DataSource, EntityManager } from "typeorm";
import { Not } from "typeorm";
import { companyOf, type UserRow } from "../companies/entity";
import type { SignedIn } from "../http/endpoint";
import type { CookieChange } from "../http/reply";
import { type SessionRow, sessionEntity } from "./entity";
import { hashToken, newToken } from "./tokens";

type Source = DataSource | EntityManager;

const SESSION_DAYS = 30;
export const DAY_MS = 86_400_000;

export type Started = { readonly signedIn: SignedIn; readonly cookie: CookieChange };

/** A session on a device, which carries the token in its cookie; only the token's hash is kept. */
export async function startSession(source: Source, user: UserRow, device: string): Promise<Started> {
  const token = newToken();
  const now = new Date();
  const expires = new Date(now.getTime() + SESSION_DAYS * DAY_MS);
  const session: SessionRow = {
    id: hashToken(token),
    userId: user.id,
    csrfToken: newToken(),
    expiresAt: expires,
    createdAt: now,
    seenAt: now,
    device: device.slice(0, 300),
  };
  await source.getRepository(sessionEntity).insert(session);
  return { signedIn: { user, session }, cookie: { token, expires } };
}

/** Ends a person's sessions: all of them, or all but the one they are in. */
export const endSessions = (source: Source, userId: string, butId = "") =>
  source.getRepository(sessionEntity).delete({ userId, id: Not(butId) });

/** The session as it is answered: who is signed in, in which company, and the token that changes carry. */
export async function describeSession(source: Source, { user, session }: SignedIn) {
  const company = await companyOf(source, user.companyId);
  const { address, profile } = company.settings;
  return {
    user: { id: user.id, name: user.name, email: user.email, role: user.role },
    company: { id: company.id, name: company.name, address, demo: company.demo, profile },
    csrfToken: session.csrfToken,
  };
}

/** Where there is no demo its people are signed in nowhere: their password is known to everybody. */
export const endDemoSessions = (source: Source): Promise<unknown> =>
  source.query(
    `DELETE session FROM session JOIN user ON user.id = session.userId JOIN company ON company.id = user.companyId
     WHERE company.demo = TRUE`,
  );
