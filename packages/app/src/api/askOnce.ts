import type { z } from "zod";
import { newId } from "../sync/newId";
import { ask, NoAnswer } from "./client";

const PAUSES_MS = [700, 2000];
const MOST_KEPT = 20;

/** Changes that may have reached the server though no answer came, with the name they were sent under. */
const unanswered = new Map<string, string>();

const later = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

function keep(what: string, id: string): void {
  unanswered.set(what, id);
  const [oldest] = unanswered.keys();
  if (unanswered.size > MOST_KEPT && oldest !== undefined) unanswered.delete(oldest);
}

/**
 * Asks for a change that is made once, however often it is sent: again after a moment where no answer came, and under the same name when
 * somebody presses again for the same. Throws as `ask` does.
 */
export async function askOnce<T>(schema: z.ZodType<T>, method: string, path: string, body: unknown): Promise<T> {
  const what = `${method} ${path} ${JSON.stringify(body)}`;
  const commandId = unanswered.get(what) ?? newId();
  for (const pauseMs of [...PAUSES_MS, undefined]) {
    try {
      const answer = await ask(schema, method, path, body, { commandId });
      unanswered.delete(what);
      return answer;
    } catch (error) {
      if (!(error instanceof NoAnswer)) {
        unanswered.delete(what);
        throw error;
      }
      keep(what, commandId);
      if (pauseMs === undefined) throw error;
      await later(pauseMs);
    }
  }
  throw new NoAnswer();
}
