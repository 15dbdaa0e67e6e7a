import type { Logger } from "pino";
import { busy } from "../http/problemDetails";
import { isFull, startPool } from "../pool/startPool";

export type PasswordTask =
  | { readonly does: "hash"; readonly password: string }
  | { readonly does: "check"; readonly hash: string; readonly password: string };

/** Checked when no such person exists, so that the answer takes as long as for a wrong password. */
const NOBODYS_HASH =
  "$argon2id$v=19$m=19456,t=2,p=1$Gz46uTXSMBMAUuqBlxjtag$D6qBfINcXSIXtiJbAFIFKelzIVrT5kAUSIqN0WrVvcA";

const MOST_WAITING = 400;
const MOST_MEGABYTES = 64;

export type Passwords = {
  readonly hash: (password: string) => Promise<string>;
  /** Whether it is the password of that hash; of nobody's, where there is none, which takes as long. */
  readonly matches: (hash: string | undefined, password: string) => Promise<boolean>;
  readonly close: () => Promise<void>;
};

/** Argon2id in threads of its own, so that many sign-ins hold up neither each other's answers nor the reckoning. Throws 503 where too many wait. */
export function startPasswords(logger: Logger): Passwords {
  const pool = startPool(
    "passwordWorker.js",
    null,
    { mostWaiting: MOST_WAITING, mostMegabytes: MOST_MEGABYTES },
    logger,
  );
  const run = async (task: PasswordTask): Promise<unknown> => {
    try {
      return await pool.run(task);
    } catch (error) {
      throw isFull(error) ? busy() : error;
    }
  };
  return {
    hash: async (password) => String(await run({ does: "hash", password })),
    matches: async (hash = NOBODYS_HASH, password) => (await run({ does: "check", hash, password })) === true,
    close: () => pool.destroy(),
  };
}
