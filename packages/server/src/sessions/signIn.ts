import type { DataSource } from "typeorm";
import { normalPassword } from "../accounts/passwordRules";
import { companyEntity, type UserRow, userEntity } from "../companies/entity";
import type { Config } from "../config";
import { noteEvent } from "../events/note";
import { HttpProblem } from "../http/problemDetails";
import type { Received } from "../http/received";
import { Reply } from "../http/reply";
import { newDeviceLetter } from "../mail/letters";
import { hasSecondFactor, openedBy } from "../secondFactor/store";
import type { Services } from "../services";
import { describeSession, startSession } from "./store";

type Asked = { readonly email: string; readonly password: string; readonly code?: string | undefined };
type Signing = {
  readonly dataSource: DataSource;
  readonly config: Pick<Config, "demo" | "longestDays">;
  readonly services: Pick<Services, "passwords" | "mailer" | "inBackground">;
};

const isDemo = (dataSource: DataSource, id: string): Promise<boolean> =>
  dataSource.getRepository(companyEntity).existsBy({ id, demo: true });

/** The password is right; a code of the authenticator is asked for. It is no wrong try. */
const codeNeeded = (): HttpProblem => {
  const message = "Type the code that your authenticator shows now, or one of your recovery codes.";
  return new HttpProblem(428, { detail: message, problems: [{ code: "second-factor", path: "code", message }] });
};

const wrongCode = (): HttpProblem => {
  const message = "This code is not right, or was used already. Wait for the next one.";
  return new HttpProblem(401, { detail: message, problems: [{ code: "wrong-code", path: "code", message }] });
};

/** Asks for the second factor of somebody who has one. Throws 428 where none was given, 401 for a wrong one. */
export async function requireSecondFactor(
  dataSource: DataSource,
  user: UserRow,
  received: Received,
  code: string | undefined,
): Promise<void> {
  if (!(await hasSecondFactor(dataSource, user.id))) return;
  if (code === undefined || code === "") throw codeNeeded();
  const opened = await openedBy(dataSource, user.id, code);
  if (opened === "recovery") await noteEvent(dataSource, "recovery-code-used", user, received);
  if (opened !== undefined) return;
  await noteEvent(dataSource, "not-signed-in", user, received, "a wrong code");
  throw wrongCode();
}

/** Whoever an address, a password and, where there is one, a second factor go together for. People who left, and the demo's where there is none, are nobody. */
async function personFor(
  { dataSource, config, services }: Signing,
  asked: Asked,
  received: Received,
): Promise<UserRow> {
  const user = await dataSource.getRepository(userEntity).findOneBy({ email: asked.email });
  const matches = await services.passwords.matches(user?.passwordHash || undefined, normalPassword(asked.password));
  const refused = new HttpProblem(401, { detail: "This address and password do not go together." });
  if (!user) throw refused;
  const isClosed = !config.demo && (await isDemo(dataSource, user.companyId));
  if (!matches || user.leftAt || isClosed) {
    await noteEvent(
      dataSource,
      "not-signed-in",
      user,
      received,
      matches ? "taken out of the company" : "a wrong password",
    );
    throw refused;
  }
  await requireSecondFactor(dataSource, user, received, asked.code);
  return user;
}

/** Signs somebody in. On a device that they were never on they are told by a letter. */
export async function signIn(signing: Signing, asked: Asked, received: Received): Promise<Reply> {
  const { dataSource, config, services } = signing;
  const user = await personFor(signing, asked, received);
  const { signedIn, cookie, newDevice } = await startSession(dataSource, user, received, config.longestDays);
  await noteEvent(dataSource, newDevice ? "signed-in-on-new-device" : "signed-in", user, received);
  if (newDevice && !(await isDemo(dataSource, user.companyId))) {
    services.inBackground(services.mailer.send(newDeviceLetter(user.email, received, new Date())));
  }
  return new Reply(await describeSession(dataSource, signedIn), { cookie });
}
