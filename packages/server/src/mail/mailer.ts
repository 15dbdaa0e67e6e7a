import { createTransport } from "nodemailer";
import type { Logger } from "pino";
import type { Config } from "../config";

export type Letter = { readonly to: string; readonly subject: string; readonly text: string };

export type Mailer = {
  /** Whether it was taken by the mail server. It never throws: what a letter is about has happened already. */
  readonly send: (letter: Letter) => Promise<boolean>;
  readonly close: () => void;
};

const PATIENCE_MS = 8000;

/** Letters by SMTP, to the stand-in that ships with the app or to a real server, by settings; none where no server is set. */
export function startMailer({ mail }: Pick<Config, "mail">, logger: Logger): Mailer {
  if (mail.smtp === undefined) return { send: async () => false, close: () => undefined };
  const transport = createTransport({
    url: mail.smtp,
    connectionTimeout: PATIENCE_MS,
    greetingTimeout: PATIENCE_MS,
    socketTimeout: PATIENCE_MS,
    // Without TLS nothing is said to the server, not even who the letter is for.
    requireTLS: mail.tlsOnly,
  });
  return {
    send: async ({ to, subject, text }) => {
      try {
        // As an object, so that no comma or bracket in it makes two addresses of one.
        await transport.sendMail({ from: mail.from, to: { name: "", address: to }, subject, text });
        return true;
      } catch (error) {
        logger.error({ err: error }, "a letter was not taken by the mail server");
        return false;
      }
    },
    close: () => transport.close(),
  };
}
