import useSWR, { mutate } from "swr";
import { z } from "zod";
import { keepFor } from "../device/kept";
import { deviceStore } from "../device/store";
import { ask, keepCsrfToken, NoAnswer, tell } from "./client";
import { type Session, sessionSchema } from "./records";

const KEY = "/session";

const KEPT = "session";

/** Makes this the person of the app: their token goes with each change, and what is kept on the device is theirs. */
function takeUp(session: Session): Session {
  keepCsrfToken(session.csrfToken);
  keepFor(session.user.id);
  return session;
}

/** Who is signed in. Without signal it is the person who was when there last was one: the device is still theirs. */
async function readSession(): Promise<Session | null> {
  try {
    const { session } = await ask(z.object({ session: sessionSchema.nullable() }), "GET", KEY);
    if (session) await deviceStore.set(KEPT, session).catch(() => undefined);
    else await deviceStore.remove(KEPT).catch(() => undefined);
    return session && takeUp(session);
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error;
    const kept = sessionSchema.safeParse(await deviceStore.get(KEPT).catch(() => undefined));
    if (!kept.success) throw error;
    return takeUp(kept.data);
  }
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

export async function signIn(email: string, password: string): Promise<void> {
  const session = await ask(sessionSchema, "POST", KEY, { email, password });
  takeUp(session);
  await deviceStore.set(KEPT, session).catch(() => undefined);
  await mutate(() => true, undefined, { revalidate: false });
  await mutate(KEY, session, { revalidate: false });
}

export async function signOut(): Promise<void> {
  await tell("DELETE", KEY);
  await deviceStore.remove(KEPT).catch(() => undefined);
  await mutate(() => true, undefined, { revalidate: false });
  await mutate(KEY, null, { revalidate: false });
}

export const seesCosts = (session: Session): boolean => session.user.role !== "crew";
