import { type DataSource, type EntityManager, MoreThan } from "typeorm";
import { z } from "zod";
import { companyOf, ROLES, type UserRow, userEntity } from "../companies/entity";
import type { Config } from "../config";
import { inTransaction } from "../database/dataSource";
import { noteEvent } from "../events/note";
import { type Endpoint, publicEndpoint } from "../http/endpoint";
import type { Received } from "../http/received";
import { Reply } from "../http/reply";
import { alreadyLetter, changedLetter, confirmLetter, forgottenLetter } from "../mail/letters";
import type { Services } from "../services";
import { codeSchema, sessionSchema } from "../sessions/routes";
import { requireSecondFactor } from "../sessions/signIn";
import { describeSession, endDevices, startSession } from "../sessions/store";
import { hashToken, newToken } from "../sessions/tokens";
import { emailSchema } from "./address";
import { type InvitationRow, invitationEntity, passwordResetEntity } from "./entity";
import { passwordFieldSchema, personNameSchema } from "./newCompany";
import { normalPassword, requirePassword } from "./passwordRules";
import { isDemoCompany } from "./setUp";
import { CONFIRM_HOURS, comeIn, confirmBy, keepUntilConfirmed, linkGone } from "./toConfirm";

const RESET_MINUTES = 60;
const tokenSchema = z.string().min(1).max(100);

/** `mailed`: the link came by the letter, so that whoever has it reads the mail of the address. */
type Invited = { readonly invitation: InvitationRow; readonly mailed: boolean };

async function invitationBy(source: DataSource | EntityManager, token: string): Promise<Invited> {
  const hash = hashToken(token);
  const expiresAt = MoreThan(new Date());
  const where = [
    { letterHash: hash, expiresAt },
    { tokenHash: hash, expiresAt },
  ];
  const invitation = await source.getRepository(invitationEntity).findOneBy(where);
  if (!invitation) throw linkGone("invitation");
  return { invitation, mailed: invitation.letterHash === hash };
}

/** A session where the person is in; null where a letter is to be answered first. */
export const maybeSessionSchema = z.object({ session: sessionSchema.nullable() });

/** What is done by a link alone: coming into a company, and setting a forgotten password anew. */
export const linkEndpoints = (
  dataSource: DataSource,
  { longestDays }: Pick<Config, "longestDays">,
  { passwords, mailer, links, inBackground }: Services,
): Endpoint[] => {
  async function sendForgotten(email: string): Promise<void> {
    const user = await dataSource.getRepository(userEntity).findOneBy({ email });
    if (!user || user.leftAt || !user.addressConfirmed || (await isDemoCompany(dataSource, user.companyId))) return;
    const token = newToken();
    const expiresAt = new Date(Date.now() + RESET_MINUTES * 60_000);
    const resets = dataSource.getRepository(passwordResetEntity);
    // One link at a time: the newest letter is the one that works.
    await resets.delete({ userId: user.id });
    await resets.insert({ tokenHash: hashToken(token), userId: user.id, expiresAt });
    // To the address that is kept, never to the one that was typed.
    await mailer.send(forgottenLetter(user.email, { link: links.forgotten(token), minutes: RESET_MINUTES }));
  }

  /** Somebody has the link that was handed over: the letter shows whether the address is theirs, and says the rest. */
  async function askByLetter(invitation: InvitationRow, company: string, name: string, passwordHash: string) {
    const { id: invitationId, email } = invitation;
    if (await dataSource.getRepository(userEntity).existsBy({ email })) {
      await mailer.send(alreadyLetter(email, { company, link: links.signIn() }));
      return;
    }
    const wanted = { kind: "invitation", invitationId, name, passwordHash } as const;
    const token = await keepUntilConfirmed(dataSource, email, wanted);
    await mailer.send(confirmLetter(email, { company, link: links.confirm(token), hours: CONFIRM_HOURS }));
  }

  async function resetBy(source: DataSource | EntityManager, token: string): Promise<UserRow> {
    const where = { tokenHash: hashToken(token), expiresAt: MoreThan(new Date()) };
    const reset = await source.getRepository(passwordResetEntity).findOneBy(where);
    const user = reset && (await source.getRepository(userEntity).findOneBy({ id: reset.userId }));
    if (!user || user.leftAt) throw linkGone("link");
    return user;
  }

  async function begun(user: UserRow, received: Received) {
    const { signedIn, cookie } = await startSession(dataSource, user, received, longestDays);
    return { cookie, session: await describeSession(dataSource, signedIn) };
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
        const { companyId, name, email, role } = (await invitationBy(dataSource, body.token)).invitation;
        return { company: (await companyOf(dataSource, companyId)).name, name, email, role };
      },
    }),
    publicEndpoint({
      method: "post",
      path: "/invitation/accept",
      access: "public",
      summary:
        "Come into the company by an invitation, with a password of one's own. By the link of the letter one is signed in; by a link that was handed over a letter is sent first",
      status: 201,
      body: z
        .object({ token: tokenSchema, name: personNameSchema, password: passwordFieldSchema })
        .meta({ id: "InvitationToAccept" }),
      answer: maybeSessionSchema,
      handle: async ({ body, received }) => {
        const { invitation, mailed } = await invitationBy(dataSource, body.token);
        const company = await companyOf(dataSource, invitation.companyId);
        requirePassword(body.password, [body.name, invitation.email, company.name]);
        const hash = await passwords.hash(normalPassword(body.password));
        if (!mailed) {
          // Not waited for: neither the answer nor its time says whether the address is anybody's.
          inBackground(askByLetter(invitation, company.name, body.name, hash));
          return { session: null };
        }
        const person = await inTransaction(dataSource, (manager) => comeIn(manager, invitation.id, body.name, hash));
        await noteEvent(dataSource, "came-in", person, received, `${person.email}, ${person.role}`);
        const { session, cookie } = await begun(person, received);
        return new Reply({ session }, { cookie });
      },
    }),
    publicEndpoint({
      method: "post",
      path: "/confirm",
      access: "public",
      summary: "Answer a letter: what was asked for under its address is done, and whoever begins by it is signed in",
      status: 201,
      body: z.object({ token: tokenSchema }).meta({ id: "Confirmation" }),
      answer: maybeSessionSchema,
      handle: async ({ body, received }) => {
        const { kind, user } = await inTransaction(dataSource, (manager) => confirmBy(manager, body.token));
        if (kind === "address") return { session: null };
        await noteEvent(dataSource, "came-in", user, received, `${user.email}, ${user.role}`);
        const { session, cookie } = await begun(user, received);
        return new Reply({ session }, { cookie });
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
      summary:
        "Set a forgotten password anew by its link; all sessions from before end. 428 where a code of the second factor is to be sent with it",
      status: 201,
      body: z
        .object({ token: tokenSchema, password: passwordFieldSchema, code: codeSchema.optional() })
        .meta({ id: "NewPassword" }),
      answer: sessionSchema,
      handle: async ({ body, received }) => {
        const user = await resetBy(dataSource, body.token);
        const company = await companyOf(dataSource, user.companyId);
        requirePassword(body.password, [user.name, user.email, company.name]);
        // Who reads somebody's mail has one factor of two.
        await requireSecondFactor(dataSource, user, received, body.code);
        const passwordHash = await passwords.hash(normalPassword(body.password));
        await inTransaction(dataSource, async (manager) => {
          const { affected } = await manager
            .getRepository(passwordResetEntity)
            .delete({ tokenHash: hashToken(body.token) });
          if (!affected) throw linkGone("link");
          await manager.getRepository(userEntity).update({ id: user.id }, { passwordHash });
          await endDevices(manager, user.id);
          await noteEvent(manager, "password-reset", user, received);
        });
        inBackground(mailer.send(changedLetter(user.email)));
        const { session, cookie } = await begun(user, received);
        return new Reply(session, { cookie });
      },
    }),
  ];
};
