/** What waits for the server to have room, as the server put it. */
const waiting = new Set<{ readonly message: string }>();
const listeners = new Set<() => void>();
let shown: string | undefined;

function tell(): void {
  shown = [...waiting].at(-1)?.message;
  for (const listener of listeners) listener();
}

export const subscribeToTurn = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Why something waits, and for how long; undefined while nothing does. */
export const turnText = (): string | undefined => shown;

/** Waits, and says so for as long. */
export async function waitForTurn(message: string, ms: number): Promise<void> {
  const own = { message };
  waiting.add(own);
  tell();
  await new Promise((done) => setTimeout(done, ms));
  waiting.delete(own);
  tell();
}
