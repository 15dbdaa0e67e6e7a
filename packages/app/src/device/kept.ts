import { mutate } from "swr";
import type { z } from "zod";
import { askTagged, NoAnswer } from "../api/client";
import { deviceStore } from "./store";

/** After so long without an answer the device's own copy is shown, while the asking goes on. */
const PATIENCE_MS = 2000;

let owner = "";
/** Each person's copies lie apart. */
export const keepFor = (userId: string): void => {
  owner = userId;
};

/** Whose device it is now; empty for nobody's. */
export const keptFor = (): string => owner;

const keyOf = (path: string): string => `answers/${owner}${path}`;

async function keptCopy<T>(schema: z.ZodType<T>, path: string): Promise<T | undefined> {
  const read = schema.safeParse(await deviceStore.get(keyOf(path)).catch(() => undefined));
  return read.success ? read.data : undefined;
}

const later = (ms: number): Promise<"later"> => new Promise((done) => setTimeout(() => done("later"), ms));

/** How a copy on the device spares part of the answer: what is said of it when asking, and how the two make the whole. */
export type Sparing<T> = { readonly query: (known: T) => string; readonly merge: (came: T, known: T) => T };

/**
 * Asks the server, and keeps its answer on the device. Without signal, or with too little of it, the copy kept last time
 * answers instead. Throws NoAnswer when there is neither.
 */
export async function askKept<T>(schema: z.ZodType<T>, path: string, swrKey: string, sparing?: Sparing<T>): Promise<T> {
  const known = sparing && (await keptCopy(schema, path));
  const asking = askFor(schema, path, sparing, known);
  try {
    const first = await Promise.race([asking, later(PATIENCE_MS)]);
    if (first !== "later") return first;
    const copy = await keptCopy(schema, path);
    if (copy === undefined) return await asking;
    void asking.then((answer) => mutate(swrKey, answer, { revalidate: false })).catch(() => undefined);
    return copy;
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error;
    const copy = await keptCopy(schema, path);
    if (copy === undefined) throw error;
    return copy;
  }
}

/** Asks, unless what the device has is still the answer: that is told by the tag that it came under. */
async function askFor<T>(
  schema: z.ZodType<T>,
  path: string,
  sparing: Sparing<T> | undefined,
  known: T | undefined,
): Promise<T> {
  const asked = known && sparing ? path + sparing.query(known) : path;
  const tag = known === undefined ? undefined : await deviceStore.get(tagKeyOf(asked)).catch(() => undefined);
  const came = await askTagged(schema, asked, typeof tag === "string" ? tag : undefined);
  // Only who has a copy names a tag.
  if (came === undefined && known !== undefined) return known;
  if (came === undefined) throw new NoAnswer();
  const answer = known && sparing ? sparing.merge(came.answer, known) : came.answer;
  keepAnswer(path, answer, came.tag === undefined ? undefined : { asked, tag: came.tag });
  return answer;
}

const tagKeyOf = (asked: string): string => `tags/${owner}${asked}`;

/** Puts a newer state into the copy on the device, so that a restart without signal shows it. */
export const keepAnswer = (path: string, answer: unknown, under?: { asked: string; tag: string }): void => {
  // What comes in late, once they have signed out, is kept for nobody.
  if (owner === "") return;
  const tagKey = under && tagKeyOf(under.asked);
  void deviceStore
    .set(keyOf(path), answer)
    // After what it is the tag of: an older tag does no harm.
    .then(() => (under && tagKey ? deviceStore.set(tagKey, under.tag) : undefined))
    .catch(() => undefined);
};
