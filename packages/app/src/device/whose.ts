import { z } from "zod";
import { deviceStore } from "./store";

const NAMES = "people/";
const OUTBOX = "outbox/";
/** What people entered and nobody else has: it stays when they sign out. */
const THEIRS: readonly string[] = [OUTBOX, "drafts/", "unsent-photos/", NAMES, "signed-out"];
const PHOTOS = "photos/";

/** Remembers what somebody is called, to say whose unsent entries lie here while nobody is signed in. */
export const noteName = (userId: string, name: string): Promise<void> => deviceStore.set(NAMES + userId, name);

export type Unsent = { readonly name: string; readonly entries: number };

const ownerOf = (key: string): string => key.split("/")[1] ?? "";

/** Whose entries lie on this device unsent, and how many. */
export async function unsentHere(): Promise<Unsent[]> {
  const kept = await deviceStore.keys(OUTBOX);
  const counts = new Map<string, number>();
  for (const key of kept) counts.set(ownerOf(key), (counts.get(ownerOf(key)) ?? 0) + 1);
  const names = new Map(await deviceStore.under(NAMES));
  return [...counts].map(([owner, entries]) => {
    const name = z.string().safeParse(names.get(NAMES + owner));
    return { name: name.success ? name.data : "somebody", entries };
  });
}

const photoSchema = z.object({ kind: z.literal("put-photo"), target: z.string() });

/** On signing out: what was kept of jobs and prices goes, so that who has the device next reads none of it. */
export async function forgetAnswers(): Promise<void> {
  const all = await deviceStore.keys("");
  // From before unsent pictures had a place of their own.
  const waiting = await deviceStore.under(OUTBOX);
  const unsent = new Set(waiting.flatMap(([, value]) => photoSchema.safeParse(value).data?.target ?? []));
  const stays = (key: string): boolean =>
    THEIRS.some((prefix) => key.startsWith(prefix)) || (key.startsWith(PHOTOS) && unsent.has(key.slice(PHOTOS.length)));
  await deviceStore.removeMany(all.filter((key) => !stays(key)));
}
