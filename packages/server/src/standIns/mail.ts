import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import express from "express";
import { simpleParser } from "mailparser";
import { SMTPServer } from "smtp-server";

type Kept = { readonly at: Date; readonly to: string; readonly subject: string; readonly text: string };
const MOST_KEPT = 200;
const LARGEST_BYTES = 1_000_000;

export type MailStandIn = { readonly smtp: string; readonly page: string; readonly stop: () => Promise<void> };

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (each) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" })[each] ?? each);
const withLinks = (text: string): string =>
  escaped(text).replace(/https?:\/\/[^\s<]+/g, (link) => `<a href="${link}">${link}</a>`);

const letter = ({
  at,
  to,
  subject,
  text,
}: Kept): string => `<article style="border-top: 1px solid #999; padding: 1rem 0">
<h2 style="font-size: 1.1rem; margin: 0">${escaped(subject)}</h2>
<p style="margin: 0">To ${escaped(to)}, ${at.toISOString().slice(0, 16).replace("T", " ")} UTC</p>
<p style="white-space: pre-wrap; overflow-wrap: anywhere">${withLinks(text)}</p></article>`;

const page = (kept: readonly Kept[]): string => `<!doctype html>
<html lang="en"><meta charset="utf-8"><title>Letters, a stand-in</title>
<meta name="viewport" content="width=device-width, initial-scale=1">
<body style="font: 18px/1.5 system-ui; max-width: 40rem; margin: 2rem auto; padding: 0 1rem">
<main><h1>Letters, a stand-in</h1>
<p>What Wide Porch would have sent by mail, newest first. Nothing here leaves this machine. <a href="/">Look again</a></p>
${kept.length === 0 ? "<p>No letters yet.</p>" : kept.map(letter).join("\n")}
</main></body></html>`;

type Ports = { readonly smtp?: number | undefined; readonly page?: number | undefined };

/** A small stand-in for a mail server: it takes letters by SMTP, keeps the latest, and shows them on a page. On loopback only. */
export async function startMail({ smtp: smtpPort = 0, page: pagePort = 0 }: Ports = {}): Promise<MailStandIn> {
  const kept: Kept[] = [];
  const smtp = new SMTPServer({
    authOptional: true,
    disabledCommands: ["STARTTLS", "AUTH"],
    size: LARGEST_BYTES,
    onData: (stream, session, done) => {
      simpleParser(stream)
        .then(({ subject = "", text = "" }) => {
          const to = session.envelope.rcptTo.map(({ address }) => address).join(", ");
          kept.unshift({ at: new Date(), to, subject, text });
          kept.length = Math.min(kept.length, MOST_KEPT);
          done();
        })
        .catch((error: unknown) => done(error instanceof Error ? error : new Error(String(error))));
    },
  });
  await new Promise<void>((listening) => smtp.listen(smtpPort, "127.0.0.1", listening));
  const app = express();
  app.get("/", (_request, response) => {
    response.type("html").send(page(kept));
  });
  app.get("/letters", (_request, response) => {
    response.json({ items: kept });
  });
  const web = createServer(app);
  await new Promise<void>((listening) => web.listen(pagePort, "127.0.0.1", listening));
  const portOf = (address: ReturnType<typeof web.address>) => (address as AddressInfo).port;
  return {
    smtp: `smtp://127.0.0.1:${portOf(smtp.server.address())}`,
    page: `http://127.0.0.1:${portOf(web.address())}`,
    stop: async () => {
      await new Promise<void>((closed) => smtp.close(() => closed()));
      web.closeAllConnections();
      await new Promise<void>((closed) => web.close(() => closed()));
    },
  };
}
