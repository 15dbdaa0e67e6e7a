import type { DataSource, EntityManager } from "typeorm";
import { Not } from "typeorm";
import { companyOf, type UserRow } from "../companies/entity";
import type { Received } from "../http/received";
import type { CookieChange } from "../http/reply";
import type { SignedIn } from "../http/signedIn";
import { hasSecondFactor } from "../secondFactor/store";
import { knownDeviceEntity, type SessionRow, sessionEntity } from "./entity";
import { hashToken, isToken, newToken } from "./tokens";

type Source = DataSource | EntityManager;

export const DAY_MS = 86_400_000;

export type Started = {
  readonly signedIn: SignedIn;
  readonly cookie: CookieChange;
  /** Nobody has signed in as this person on the device before. */
  readonly newDevice: boolean;
};

/** What a session begins by: what the device calls itself, what it is known by, and who was signed in on it. */
export type From = Pick<Received, "userAgent" | "device" | "signedIn">;

/**
 * A session on a device, which carries the token in its cookie; only the token's hash is kept. Whoever was signed in there before is signed
 * out by it. How long it lasts is for `readSession` to say; `longestDays` is for the cookie.
 */
export async function startSession(source: Source, user: UserRow, from: From, longestDays: number): Promise<Started> {
  const token = newToken();
  const device = isToken(from.device) ? from.device : newToken();
  const deviceHash = hashToken(device);
  const now = new Date();
  const expires = new Date(now.getTime() + longestDays * DAY_MS);
  const session: SessionRow = {
    id: hashToken(token),
    userId: user.id,
    csrfToken: newToken(),
    expiresAt: expires,
    createdAt: now,
    seenAt: now,
    device: from.userAgent.slice(0, 300),
    deviceHash,
  };
  const sessions = source.getRepository(sessionEntity);
  if (from.signedIn) await sessions.delete({ id: from.signedIn.session.id });
  await sessions.delete({ userId: user.id, deviceHash });
  await sessions.insert(session);
  await source.query("UPDATE user SET deviceKey = ? WHERE id = ? AND deviceKey = ''", [newToken(), user.id]);
  const newDevice = await noteDevice(source, user.id, deviceHash, now);
  const needsSecondFactor = await lacksSecondFactor(source, user);
  return { signedIn: { user, session, needsSecondFactor }, cookie: { token, expires, device }, newDevice };
}

async function noteDevice(source: Source, userId: string, deviceHash: string, now: Date): Promise<boolean> {
  const devices = source.getRepository(knownDeviceEntity);
  const known = await devices.existsBy({ userId, deviceHash });
  if (known) await devices.update({ userId, deviceHash }, { seenAt: now });
  else await devices.insert({ userId, deviceHash, firstSeen: now, seenAt: now });
  return !known;
}

/** Whether the company asks for a second factor that the person has not set up. */
async function lacksSecondFactor(source: Source, user: UserRow): Promise<boolean> {
  const [row] = await source.query("SELECT secondFactorForAll FROM company WHERE id = ?", [user.companyId]);
  return Number(row?.secondFactorForAll) === 1 && !(await hasSecondFactor(source, user.id));
}

/** Ends a person's sessions: all of them, or all but the one they are in. */
export const endSessions = (source: Source, userId: string, butId = "") =>
  source.getRepository(sessionEntity).delete({ userId, id: Not(butId) });

/** Signs a person out everywhere and knows none of their devices any more, as when a phone is lost. */
export async function endDevices(source: Source, userId: string, but?: SessionRow): Promise<void> {
  await endSessions(source, userId, but?.id);
  await source.getRepository(knownDeviceEntity).delete({ userId, deviceHash: Not(but?.deviceHash ?? "") });
}

/** The session as it is answered: who is signed in, in which company, and the token that changes carry. */
export async function describeSession(source: Source, { user, session, needsSecondFactor }: SignedIn) {
  const company = await companyOf(source, user.companyId);
  const { address, profile } = company.settings;
  const [own] = await source.query("SELECT deviceKey FROM user WHERE id = ?", [user.id]);
  return {
    user: {
      id: user.id,
      name: user.name,
      email: user.email,
      role: user.role,
      addressConfirmed: Boolean(user.addressConfirmed),
    },
    company: { id: company.id, name: company.name, address, demo: company.demo, profile },
    csrfToken: session.csrfToken,
    /** What the person's entries are sealed with on their devices: whoever is signed in as nobody, or as another, has none. */
    deviceKey: String(own?.deviceKey ?? ""),
    needsSecondFactor,
  };
}

/** Where there is no demo its people are signed in nowhere: their password is known to everybody. */
export const endDemoSessions = (source: Source): Promise<unknown> =>
  source.query(
    `DELETE session FROM session JOIN user ON user.id = session.userId JOIN company ON company.id = user.companyId
     WHERE company.demo = TRUE`,
  );
