import { randomUUID } from "node:crypto";
import { type DataSource, type EntityManager, MoreThan } from "typeorm";
import { z } from "zod";
import { companyOf, ROLES, type UserRow, userEntity } from "../companies/entity";
import { inTransaction } from "../database/dataSource";
import { type Endpoint, publicEndpoint } from "../http/endpoint";
import { HttpProblem, unfit } from "../http/problemDetails";
import { Reply } from "../http/reply";
import { forgottenLetter } from "../mail/letters";
import type { Services } from "../services";
import { emailSchema, sessionSchema } from "../sessions/routes";
import { describeSession, endSessions, startSession } from "../sessions/store";
import { hashToken, newToken } from "../sessions/tokens";
import { type InvitationRow, invitationEntity, passwordResetEntity } from "./entity";
import { passwordFieldSchema, personNameSchema } from "./newCompany";
import { normalPassword, requirePassword } from "./passwordRules";
import { isDemoCompany } from "./setUp";

const RESET_MINUTES = 60;
const tokenSchema = z.string().min(1).max(100);

const gone = (what: string): HttpProblem =>
  new HttpProblem(404, {
    detail: `This ${what} does not work any more: it was used, taken back, or is too old. Ask for another.`,
  });

async function invitationBy(source: DataSource | EntityManager, token: string): Promise<InvitationRow> {
  const where = { tokenHash: hashToken(token), expiresAt: MoreThan(new Date()) };
  const invitation = await source.getRepository(invitationEntity).findOneBy(where);
  if (!invitation) throw gone("invitation");
  return invitation;
}

/** Used once: of two who open it at the same moment one is told that it is gone. */
async function personByInvitation(
  manager: EntityManager,
  invitation: InvitationRow,
  name: string,
  passwordHash: string,
) {
  const { affected } = await manager.getRepository(invitationEntity).delete({ id: invitation.id });
  if (!affected) throw gone("invitation");
  const users = manager.getRepository(userEntity);
  if (await users.existsBy({ email: invitation.email })) {
    const message = "You sign in with this address already. Ask to be invited by another one.";
    throw unfit([{ code: "email-taken", path: "email", message }]);
  }
  const { companyId, email, role } = invitation;
  const person: UserRow = { id: randomUUID(), companyId, email, name, role, passwordHash, leftAt: null };
  await users.insert(person);
  return person;
}

/** What is done by a link alone: coming into a company, and setting a forgotten password anew. */
export const linkEndpoints = (
  dataSource: DataSource,
  { passwords, mailer, links, inBackground }: Services,
): Endpoint[] => {
  async function sendForgotten(email: string): Promise<void> {
    const user = await dataSource.getRepository(userEntity).findOneBy({ email });
    if (!user || user.leftAt || (await isDemoCompany(dataSource, user.companyId))) return;
    const token = newToken();
    const expiresAt = new Date(Date.now() + RESET_MINUTES * 60_000);
    const resets = dataSource.getRepository(passwordResetEntity);
    // One link at a time: the newest letter is the one that works.
    await resets.delete({ userId: user.id });
    await resets.insert({ tokenHash: hashToken(token), userId: user.id, expiresAt });
    await mailer.send(forgottenLetter(email, { link: links.forgotten(token), minutes: RESET_MINUTES }));
  }

  async function resetBy(source: DataSource | EntityManager, token: string): Promise<UserRow> {
    const where = { tokenHash: hashToken(token), expiresAt: MoreThan(new Date()) };
    const reset = await source.getRepository(passwordResetEntity).findOneBy(where);
    const user = reset && (await source.getRepository(userEntity).findOneBy({ id: reset.userId }));
    if (!user || user.leftAt) throw gone("link");
    return user;
  }

  return [
    publicEndpoint({
      method: "post",
      path: "/invitation",
      access: "public",
      summary: "What an invitation's link is for; the token goes in the body, so that no log has it",
      status: 200,
      body: z.object({ token: tokenSchema }).meta({ id: "InvitationToken" }),
      answer: z.object({ company: z.string(), name: z.string(), email: z.string(), role: z.enum(ROLES) }),
      handle: async ({ body }) => {
        const { companyId, name, email, role } = await invitationBy(dataSource, body.token);
        return { company: (await companyOf(dataSource, companyId)).name, name, email, role };
      },
    }),
    publicEndpoint({
      method: "post",
      path: "/invitation/accept",
      access: "public",
      summary: "Come into the company by an invitation, with a password of one's own; signed in by it",
      status: 201,
      body: z
        .object({ token: tokenSchema, name: personNameSchema, password: passwordFieldSchema })
        .meta({ id: "InvitationToAccept" }),
      answer: sessionSchema,
      handle: async ({ body, received }) => {
        const invitation = await invitationBy(dataSource, body.token);
        const company = await companyOf(dataSource, invitation.companyId);
        requirePassword(body.password, [body.name, invitation.email, company.name]);
        const hash = await passwords.hash(normalPassword(body.password));
        const person = await inTransaction(dataSource, (manager) =>
          personByInvitation(manager, invitation, body.name, hash),
        );
        const { signedIn, cookie } = await startSession(dataSource, person, received.userAgent);
        return new Reply(await describeSession(dataSource, signedIn), { cookie });
      },
    }),
    publicEndpoint({
      method: "post",
      path: "/forgotten",
      access: "public",
      summary: "Send a link for a new password; answered alike whether there is such a person or not",
      status: 202,
      body: z.object({ email: emailSchema }).meta({ id: "Forgotten" }),
      answer: z.object({ sent: z.literal(true) }),
      handle: async ({ body }) => {
        // Not waited for: how long it takes would say whether there is such a person.
        inBackground(sendForgotten(body.email));
        return { sent: true };
      },
    }),
    publicEndpoint({
      method: "post",
      path: "/new-password",
      access: "public",
      summary: "Set a forgotten password anew by its link; all sessions from before end",
      status: 201,
      body: z.object({ token: tokenSchema, password: passwordFieldSchema }).meta({ id: "NewPassword" }),
      answer: sessionSchema,
      handle: async ({ body, received }) => {
        const user = await resetBy(dataSource, body.token);
        const company = await companyOf(dataSource, user.companyId);
        requirePassword(body.password, [user.name, user.email, company.name]);
        const passwordHash = await passwords.hash(normalPassword(body.password));
        await inTransaction(dataSource, async (manager) => {
          const { affected } = await manager
            .getRepository(passwordResetEntity)
            .delete({ tokenHash: hashToken(body.token) });
          if (!affected) throw gone("link");
          await manager.getRepository(userEntity).update({ id: user.id }, { passwordHash });
          await endSessions(manager, user.id);
        });
        const { signedIn, cookie } = await startSession(dataSource, user, received.userAgent);
        return new Reply(await describeSession(dataSource, signedIn), { cookie });
      },
    }),
  ];
};
