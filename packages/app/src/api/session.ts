import useSWR, { mutate } from "swr";
import { z } from "zod";
import { ask, keepCsrfToken, tell } from "./client";
import { type Session, sessionSchema } from "./records";

const KEY = "/session";

async function readSession(): Promise<Session | null> {
  const { session } = await ask(z.object({ session: sessionSchema.nullable() }), "GET", KEY);
  if (session) keepCsrfToken(session.csrfToken);
  return session;
}

/** The person signed in: undefined while asking, null for nobody. */
export function useSession() {
  return useSWR(KEY, readSession, { revalidateOnFocus: false, shouldRetryOnError: true, errorRetryInterval: 3000 });
}

export async function signIn(email: string, password: string): Promise<void> {
  const session = await ask(sessionSchema, "POST", KEY, { email, password });
  keepCsrfToken(session.csrfToken);
  await mutate(() => true, undefined, { revalidate: false });
  await mutate(KEY, session, { revalidate: false });
}

export async function signOut(): Promise<void> {
  await tell("DELETE", KEY);
  await mutate(() => true, undefined, { revalidate: false });
  await mutate(KEY, null, { revalidate: false });
}

export const seesCosts = (session: Session): boolean => session.user.role !== "crew";
