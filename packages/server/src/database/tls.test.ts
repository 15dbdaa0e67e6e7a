import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { pino } from "pino";
import selfsigned from "selfsigned";
import { SMTPServer } from "smtp-server";
import { readConfig } from "../config";
import { startMailer } from "../mail/mailer";
import { createDataSource } from "./dataSource";

const folder = mkdtempSync(join(tmpdir(), "wide porch tls "));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const logger = pino({ level: "silent" });
const authority = selfsigned.generate([{ name: "commonName", value: "localhost" }], { keySize: 2048, days: 2 });

describe("a database that is to be spoken to by TLS", () => {
  const asked = (more: object) => readConfig({ ...process.env, WIDE_PORCH_DB_TLS: "required", ...more });

  it("is not spoken to in clear: one that offers none is no database for us", async () => {
    // The tests' own database has no certificate.
    await expect(createDataSource(asked({})).initialize()).rejects.toThrow(/secure connection|SSL|TLS/i);
  });

  it("has to show a certificate of the authority that is named; a file that is not there ends the start", () => {
    const file = join(folder, "authority.pem");
    writeFileSync(file, authority.cert);
    const { database } = asked({ WIDE_PORCH_DB_CA: file });
    expect(database.tls?.ca).toBe(authority.cert);
    const { ssl } = createDataSource({ database }).options as { ssl?: { ca: string; rejectUnauthorized: boolean } };
    expect(ssl).toMatchObject({ ca: authority.cert, rejectUnauthorized: true, minVersion: "TLSv1.2" });
    expect(() => asked({ WIDE_PORCH_DB_CA: join(folder, "none.pem") })).toThrow(/none\.pem/);
  });
});

describe("letters that are to go by TLS", () => {
  async function serving(disabledCommands: string[]) {
    const taken: string[] = [];
    const smtp = new SMTPServer({
      authOptional: true,
      disabledCommands,
      key: authority.private,
      cert: authority.cert,
      onData: (stream, session, done) => {
        stream.resume();
        stream.on("end", () => {
          taken.push(session.secure ? "by TLS" : "in clear");
          done();
        });
      },
    });
    await new Promise<void>((listening) => smtp.listen(0, "127.0.0.1", listening));
    const { port } = smtp.server.address() as AddressInfo;
    return {
      taken,
      address: `smtp://localhost:${port}`,
      stop: () => new Promise<void>((closed) => smtp.close(closed)),
    };
  }
  const letter = { to: "a@b.example", subject: "s", text: "t" };
  const send = async (smtp: string, tls: "offered" | "required") => {
    const config = readConfig({ ...process.env, WIDE_PORCH_SMTP: smtp, WIDE_PORCH_SMTP_TLS: tls });
    const mailer = startMailer(config, logger);
    const sent = await mailer.send(letter);
    mailer.close();
    return sent;
  };

  it("are not sent in clear where STARTTLS is required and not offered", async () => {
    const plain = await serving(["STARTTLS"]);
    expect([await send(plain.address, "offered"), plain.taken]).toEqual([true, ["in clear"]]);
    expect([await send(plain.address, "required"), plain.taken]).toEqual([false, ["in clear"]]);
    await plain.stop();
  });

  it("are not sent to a server whose certificate nobody knows", async () => {
    const unknown = await serving([]);
    expect([await send(unknown.address, "required"), unknown.taken]).toEqual([false, []]);
    await unknown.stop();
  });
});
