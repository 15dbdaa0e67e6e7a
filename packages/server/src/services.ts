import type { Logger } from "pino";
import { type Links, linksAt } from "./accounts/links";
import type { Config } from "./config";
import { type Mailer, startMailer } from "./mail/mailer";
import { openPictureStore } from "./pictures/openPictureStore";
import type { PictureStore } from "./pictures/pictureStore";
import { type Passwords, startPasswords } from "./sessions/passwords";

/** What endpoints use beside the database. */
export type Services = {
  readonly passwords: Passwords;
  readonly mailer: Mailer;
  readonly links: Links;
  /** Where photos lie; undefined for the database. */
  readonly pictures: PictureStore | undefined;
  /** Work that no answer waits for; what goes wrong in it is logged. */
  readonly inBackground: (work: Promise<unknown>) => void;
};

/** `address`: where the app is reached, once that is known. */
export const startServices = (config: Config, logger: Logger, address: () => string): Services => ({
  passwords: startPasswords(logger),
  mailer: startMailer(config, logger),
  links: linksAt(address),
  pictures: openPictureStore(config),
  inBackground: (work) => {
    work.catch((error: unknown) => logger.error({ err: error }, "work in the background failed"));
  },
});

export async function closeServices({ passwords, mailer }: Services): Promise<void> {
  mailer.close();
  await passwords.close();
}
