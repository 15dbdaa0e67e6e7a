import useSWR, { mutate } from "swr";
import { z } from "zod";
import { keepFor, keptFor } from "../device/kept";
import { sealingKey } from "../device/seal";
import { deviceStore, sealWith } from "../device/store";
import { forgetAnswers, noteName } from "../device/whose";
import { ApiProblem, ask, keepCsrfToken, NoAnswer, onSecondFactorAsked, renewTokenBy, tell } from "./client";
import { type Session, sessionSchema } from "./records";

const KEY = "/session";

const KEPT = "session";
/** Signed out here while there was no signal: the server is told once there is. */
const SIGNED_OUT = "signed-out";

const ignored = (): undefined => undefined;

const keyOf = (userId: string): string => `key/${userId}`;

/**
 * The key that this person's things on the device are sealed with: the server's answer has it, and without signal the device, as a key that
 * opens but cannot be read out.
 */
async function keyFor({ user, deviceKey }: Session): Promise<CryptoKey | undefined> {
  const fresh = await sealingKey(deviceKey).catch(ignored);
  if (fresh) {
    await deviceStore.set(keyOf(user.id), fresh).catch(ignored);
    return fresh;
  }
  const kept = await deviceStore.get(keyOf(user.id)).catch(ignored);
  return typeof CryptoKey !== "undefined" && kept instanceof CryptoKey ? kept : undefined;
}

/** Makes this the person of the app: their token goes with each change, and what is kept on the device is theirs and opens for them. */
async function takeUp(session: Session): Promise<Session> {
  keepCsrfToken(session.csrfToken);
  sealWith(await keyFor(session));
  keepFor(session.user.id);
  return session;
}

/** Nobody is here: what the device has of jobs and prices goes, and what has not been sent opens to nobody until its person is back. */
async function shutDevice(): Promise<void> {
  keepFor("");
  await deviceStore.remove(KEPT).catch(ignored);
  await forgetAnswers().catch(ignored);
  sealWith(undefined);
  await deviceStore.removeMany(await deviceStore.keys("key/").catch(() => [])).catch(ignored);
}

onSecondFactorAsked(() => void mutate(KEY));

/** Signed in anew in another tab: the token that goes with it, where it is the same person; another person's page is shown anew. */
renewTokenBy(async () => {
  const before = keptFor();
  const { session } = await ask(z.object({ session: sessionSchema.nullable() }), "GET", KEY);
  if (session?.user.id === before) keepCsrfToken(session.csrfToken);
  void mutate(KEY);
  return session?.user.id === before;
});

/** Who is signed in. Without signal it is the person who was when there last was one: the device is still theirs. */
async function readSession(): Promise<Session | null> {
  const leaving = z.string().safeParse(await deviceStore.get(SIGNED_OUT).catch(ignored));
  try {
    const { session } = await ask(z.object({ session: sessionSchema.nullable() }), "GET", KEY);
    if (session && leaving.success) return await endLate(session);
    if (!session) {
      // It has ended, here or elsewhere.
      await shutDevice();
      return null;
    }
    await keepSession(session);
    return await takeUp(session);
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error;
    const kept = sessionSchema.safeParse(await deviceStore.get(KEPT).catch(ignored));
    if (leaving.success && !kept.success) return null;
    if (!kept.success) throw error;
    return await takeUp(kept.data);
  }
}

/** What was pressed without signal is done now: the server ends the session that the browser still has a cookie of. */
async function endLate(session: Session): Promise<null> {
  keepCsrfToken(session.csrfToken);
  await tell("DELETE", KEY);
  await deviceStore.remove(SIGNED_OUT).catch(ignored);
  return null;
}

async function keepSession(session: Session): Promise<void> {
  const before = sessionSchema.safeParse(await deviceStore.get(KEPT).catch(ignored));
  // Another person, or the same in another role, sees other things: what the device kept for the one before goes.
  const isAnother =
    before.success && (before.data.user.id !== session.user.id || before.data.user.role !== session.user.role);
  if (isAnother) await forgetAnswers().catch(ignored);
  // As text the key would be anybody's who reads the device.
  await deviceStore.set(KEPT, { ...session, deviceKey: "" }).catch(ignored);
  await noteName(session.user.id, session.user.name).catch(ignored);
}

/** The person signed in: undefined while asking, null for nobody. */
export function useSession() {
  return useSWR(KEY, readSession, {
    revalidateOnFocus: false,
    revalidateOnReconnect: true,
    shouldRetryOnError: true,
    errorRetryInterval: 3000,
  });
}

/** What an answer brought: this device is theirs from now on. */
export async function beginSession(session: Session): Promise<void> {
  await deviceStore.remove(SIGNED_OUT).catch(ignored);
  await keepSession(session);
  await takeUp(session);
  await mutate(() => true, undefined, { revalidate: false });
  await mutate(KEY, session, { revalidate: false });
}

/** The session as it is after a change of one's own name, or of the company. */
export async function refreshSession(session: Session): Promise<void> {
  await keepSession(session);
  await takeUp(session);
  await mutate(KEY, session, { revalidate: false });
}

/** `code`: of the second factor, where one is asked for. */
export async function signIn(email: string, password: string, code?: string): Promise<void> {
  await beginSession(await ask(sessionSchema, "POST", KEY, { email, password, ...(code ? { code } : {}) }));
}

/**
 * Signs out on this device, with signal or without. What it kept of the company goes; what was entered and has not been sent stays, for
 * when the same person is back.
 */
export async function signOut(): Promise<void> {
  await deviceStore.set(SIGNED_OUT, new Date().toISOString()).catch(ignored);
  try {
    await tell("DELETE", KEY);
    await deviceStore.remove(SIGNED_OUT).catch(ignored);
  } catch (error) {
    // Ended elsewhere meanwhile is ended; without signal it is ended when there is some.
    if (!(error instanceof NoAnswer || error instanceof ApiProblem)) throw error;
  }
  await shutDevice();
  await mutate(() => true, undefined, { revalidate: false });
  await mutate(KEY, null, { revalidate: false });
}

export const seesCosts = (session: Session): boolean => session.user.role !== "crew";
export const isOwner = (session: Session): boolean => session.user.role === "owner";
