import { setTimeout as pause } from "node:timers/promises";

/** Before it is begun again for the first time, the second, and so on. */
const PAUSES_MS = [100, 1000, 5000, 15_000, 30_000];
/** What stood so long has recovered: the next time it ends is a first time again. */
const STEADY_MS = 60_000;

const USUAL = {
  pauses: PAUSES_MS,
  steadyMs: STEADY_MS,
  say: console.error,
  wait: pause,
  now: Date.now,
  giveUp: () => {},
};

/**
 * Begins something, and begins it again whenever it ends by itself, after growing pauses; each time it is said. Given up, with a sentence,
 * once it ended as often in a row as there are pauses. `begin` resolves to what runs: `gone`, a promise of its end, and `stop`. Rejects
 * where it does not begin at all.
 */
export async function keepRunning(name, begin, options = {}) {
  const { pauses, steadyMs, say, wait, now, giveUp } = { ...USUAL, ...options };
  let running = await begin();
  let stopped = false;
  let ended = 0;

  async function again() {
    while (!stopped) {
      const pauseMs = pauses[ended];
      if (pauseMs === undefined) {
        say(`${name} ended ${ended} times in a row: it is not started again.`);
        giveUp();
        return undefined;
      }
      ended += 1;
      say(`${name} has ended. It is started again in ${pauseMs / 1000} s.`);
      await wait(pauseMs);
      if (stopped) return undefined;
      try {
        const next = await begin();
        say(`${name} is running again.`);
        return next;
      } catch (error) {
        say(`${name} did not start: ${error.message}`);
      }
    }
    return undefined;
  }

  async function watch() {
    while (!stopped) {
      const since = now();
      await running.gone;
      if (stopped) return;
      if (now() - since >= steadyMs) ended = 0;
      const next = await again();
      if (!next) return;
      running = next;
      // Told to stop while it began.
      if (stopped) await running.stop();
    }
  }
  const watched = watch();

  return {
    first: running,
    watched,
    stop: async () => {
      stopped = true;
      await running.stop();
    },
  };
}
