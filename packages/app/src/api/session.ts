import useSWR, { mutate } from "swr";
import { ApiProblem, ask, keepCsrfToken, tell } from "./client";
import { type Session, sessionSchema } from "./records";

const KEY = "/session";

async function readSession(): Promise<Session | null> {
  try {
    const session = await ask(sessionSchema, "GET", KEY);
    keepCsrfToken(session.csrfToken);
    return session;
  } catch (error) {
    if (error instanceof ApiProblem && error.status === 401) return null;
    throw error;
  }
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
