import type { Logger } from "pino";
import type { DataSource } from "typeorm";
import { alone } from "../database/alone";
import type { PictureStore } from "../pictures/pictureStore";
import { endDeletedJobs } from "./deletedJobs";
import { thinVersions } from "./versions";

const EVERY_MS = 10 * 60_000;
/** Rows of one statement, and statements of one round: nobody waits for it. */
const AT_ONCE = 1000;
const MOST_ROUNDS = 50;

type Chore = { readonly what: string; readonly statement: string };

/** What is of no more use. A command is kept longer than any device holds one back; its answer is what the same sent twice gets. */
const CHORES: readonly Chore[] = [
  { what: "attempts", statement: "DELETE FROM sign_in_attempt WHERE resetAt < UTC_TIMESTAMP()" },
  { what: "sessions", statement: "DELETE FROM session WHERE expiresAt < UTC_TIMESTAMP()" },
  { what: "commands", statement: "DELETE FROM command WHERE createdAt < UTC_TIMESTAMP() - INTERVAL 120 DAY" },
  { what: "invitations", statement: "DELETE FROM invitation WHERE expiresAt < UTC_TIMESTAMP()" },
  { what: "links for passwords", statement: "DELETE FROM password_reset WHERE expiresAt < UTC_TIMESTAMP()" },
  { what: "letters to answer", statement: "DELETE FROM entry_to_confirm WHERE expiresAt < UTC_TIMESTAMP()" },
  { what: "devices", statement: "DELETE FROM known_device WHERE seenAt < UTC_TIMESTAMP() - INTERVAL 400 DAY" },
  { what: "lines of the log", statement: "DELETE FROM event WHERE at < UTC_TIMESTAMP() - INTERVAL 800 DAY" },
];

async function done(dataSource: DataSource, { statement }: Chore): Promise<number> {
  let all = 0;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const { affectedRows } = await dataSource.query(`${statement} LIMIT ${AT_ONCE}`);
    all += Number(affectedRows);
    if (Number(affectedRows) < AT_ONCE) break;
  }
  return all;
}

/** Throws out what is of no more use, a little at a time. Resolves to how many rows of each went. */
export async function tidyUp(
  dataSource: DataSource,
  pictures?: PictureStore,
): Promise<Readonly<Record<string, number>>> {
  return alone(dataSource, "wide-porch-house", async () => {
    const gone: Record<string, number> = {};
    for (const chore of CHORES) gone[chore.what] = await done(dataSource, chore);
    gone["deleted jobs"] = await endDeletedJobs(dataSource, pictures);
    gone.versions = await thinVersions(dataSource);
    return gone;
  });
}

/** Tidies up every ten minutes, by one of several servers at a time. */
export function keepHouse(
  dataSource: DataSource,
  logger: Logger,
  pictures: PictureStore | undefined,
): { readonly stop: () => void } {
  const tidy = (): void => {
    tidyUp(dataSource, pictures)
      .then((gone) => logger.debug({ gone }, "tidied up"))
      .catch((error: unknown) => logger.warn({ err: error }, "could not tidy up"));
  };
  const timer = setInterval(tidy, EVERY_MS);
  timer.unref();
  return { stop: () => clearInterval(timer) };
}
