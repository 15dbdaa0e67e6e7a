import QRCode from "qrcode";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { passwordFieldSchema } from "../accounts/newCompany";
import { normalPassword } from "../accounts/passwordRules";
import { isDemoCompany } from "../accounts/setUp";
import type { UserRow } from "../companies/entity";
import { inTransaction } from "../database/dataSource";
import { noteEvent } from "../events/note";
import { type Endpoint, endpoint } from "../http/endpoint";
import { HttpProblem, unfit } from "../http/problemDetails";
import { Reply } from "../http/reply";
import { safetyLetter } from "../mail/letters";
import type { Services } from "../services";
import { codeSchema } from "../sessions/routes";
import { endSessions } from "../sessions/store";
import {
  addressOf,
  beginSecondFactor,
  confirmSecondFactor,
  endSecondFactor,
  hasSecondFactor,
  newRecoveryCodes,
  openedBy,
  recoveryCodesLeft,
} from "./store";

const passwordSchema = z.object({ password: passwordFieldSchema.min(1) }).meta({ id: "OwnPassword" });
const codeBodySchema = z.object({ code: codeSchema }).meta({ id: "SecondFactorCode" });
const offSchema = z.object({ password: passwordFieldSchema.min(1), code: codeSchema }).meta({ id: "SecondFactorOff" });

const wrong = (path: "password" | "code", message: string): HttpProblem =>
  unfit([{ code: `wrong-${path}`, path, message }]);

/** One's own second factor: a time-based code of an authenticator (TOTP, RFC 6238), with recovery codes. */
export const secondFactorEndpoints = (
  dataSource: DataSource,
  { passwords, mailer, inBackground }: Services,
): Endpoint[] => {
  async function requireOwnPassword(user: UserRow, password: string): Promise<void> {
    if (await passwords.matches(user.passwordHash, normalPassword(password))) return;
    throw wrong("password", "This is not your password.");
  }
  const tell = (user: UserRow, what: string): void => inBackground(mailer.send(safetyLetter(user.email, what)));

  return [
    endpoint({
      method: "get",
      path: "/account/second-factor",
      access: "signed-in",
      summary:
        "Whether one has a second factor, whether the company asks for one, and how many recovery codes are left",
      status: 200,
      withoutSecondFactor: true,
      answer: z.object({ on: z.boolean(), asked: z.boolean(), recoveryCodesLeft: z.int() }),
      handle: async ({ user }) => {
        const [company] = await dataSource.query("SELECT secondFactorForAll FROM company WHERE id = ?", [
          user.companyId,
        ]);
        return {
          on: await hasSecondFactor(dataSource, user.id),
          asked: Number(company?.secondFactorForAll) === 1,
          recoveryCodesLeft: await recoveryCodesLeft(dataSource, user.id),
        };
      },
    }),
    endpoint({
      method: "post",
      path: "/account/second-factor",
      access: "signed-in",
      summary: "Begin to set a second factor up: its secret for the authenticator, as text and as a picture",
      status: 201,
      withoutSecondFactor: true,
      body: passwordSchema,
      answer: z.object({ secret: z.string(), address: z.string(), picture: z.string() }),
      handle: async ({ user, body }) => {
        await requireOwnPassword(user, body.password);
        if (await isDemoCompany(dataSource, user.companyId)) {
          throw new HttpProblem(422, {
            detail: "The people of the demo sign in by the password that everybody knows.",
          });
        }
        if (await hasSecondFactor(dataSource, user.id)) {
          throw new HttpProblem(422, { detail: "You have a second factor already. Take it out first." });
        }
        const secret = await beginSecondFactor(dataSource, user.id);
        const address = addressOf(secret, user.email);
        return { secret, address, picture: await QRCode.toDataURL(address, { margin: 2, width: 240 }) };
      },
    }),
    endpoint({
      method: "post",
      path: "/account/second-factor/confirm",
      access: "signed-in",
      summary: "Show a code of the authenticator: from then on it is asked for. Answers the recovery codes, once",
      status: 201,
      withoutSecondFactor: true,
      body: codeBodySchema,
      answer: z.object({ recoveryCodes: z.array(z.string()) }),
      handle: async ({ user, session, body, received }) => {
        const recoveryCodes = await inTransaction(dataSource, async (manager) => {
          if (!(await confirmSecondFactor(manager, user.id, body.code))) {
            throw wrong(
              "code",
              "This code is not right. Look at the phone's clock, and type the code that it shows now.",
            );
          }
          // Whoever signed in with the password alone is out.
          await endSessions(manager, user.id, session.id);
          await noteEvent(manager, "second-factor-on", user, received);
          return newRecoveryCodes(manager, user.id);
        });
        tell(user, "From now on a code of your authenticator is asked for when you sign in.");
        return { recoveryCodes };
      },
    }),
    endpoint({
      method: "post",
      path: "/account/second-factor/recovery-codes",
      access: "signed-in",
      summary: "New recovery codes in the place of those from before",
      status: 201,
      body: passwordSchema,
      answer: z.object({ recoveryCodes: z.array(z.string()) }),
      handle: async ({ user, body }) => {
        await requireOwnPassword(user, body.password);
        if (!(await hasSecondFactor(dataSource, user.id))) {
          throw new HttpProblem(422, { detail: "There is no second factor to recover." });
        }
        tell(user, "You have new recovery codes; those from before do not work any more.");
        return { recoveryCodes: await inTransaction(dataSource, (manager) => newRecoveryCodes(manager, user.id)) };
      },
    }),
    endpoint({
      method: "post",
      path: "/account/second-factor/off",
      access: "signed-in",
      summary: "Take one's second factor out, by the password and a code",
      status: 204,
      body: offSchema,
      handle: async ({ user, body, received }) => {
        await requireOwnPassword(user, body.password);
        if (!(await openedBy(dataSource, user.id, body.code))) throw wrong("code", "This code is not right.");
        await inTransaction(dataSource, async (manager) => {
          await endSecondFactor(manager, user.id);
          await noteEvent(manager, "second-factor-off", user, received);
        });
        tell(user, "Your second factor was taken out. Your password alone signs you in.");
        return new Reply(undefined);
      },
    }),
  ];
};
