import { randomUUID } from "node:crypto";
import { type DataSource, type EntityManager, IsNull, MoreThan } from "typeorm";
import { z } from "zod";
import { lockCompany, ROLES, type UserRow, userEntity } from "../companies/entity";
import { inTransaction } from "../database/dataSource";
import { noteEvent } from "../events/note";
import { type Endpoint, endpoint } from "../http/endpoint";
import { HttpProblem, notFound, unfit } from "../http/problemDetails";
import type { Received } from "../http/received";
import { invitationLetter, safetyLetter } from "../mail/letters";
import { endSecondFactor, hasSecondFactor } from "../secondFactor/store";
import type { Services } from "../services";
import { DAY_MS, endDevices } from "../sessions/store";
import { hashToken, newToken } from "../sessions/tokens";
import { newEmailSchema } from "./address";
import { type InvitationRow, invitationEntity } from "./entity";
import { personNameSchema } from "./newCompany";
import { entryToConfirmEntity } from "./toConfirm";

const INVITED_DAYS = 14;
const MOST_OPEN = 200;
const MOST_PEOPLE = 2000;

/** In a body that was not checked yet: what is no text is left out. */
const fieldIn = (body: unknown, name: string): string => {
  const value: unknown = typeof body === "object" && body !== null ? Reflect.get(body, name) : undefined;
  return value === undefined ? "" : `${name} ${String(value)}`;
};

/** Who a change was about, and what was asked for. */
const aboutPerson = ({ params, body }: Received): string =>
  [params.id, fieldIn(body, "role"), fieldIn(body, "left")].filter(Boolean).join(", ");

const roleSchema = z.enum(ROLES);

const personSchema = z
  .object({
    id: z.string(),
    name: z.string(),
    email: z.string(),
    role: roleSchema,
    /** When they were taken out; null for those who are in. */
    leftAt: z.iso.datetime().nullable(),
    /** Devices they are signed in on, and when one was last seen. */
    devices: z.int(),
    seenAt: z.iso.datetime().nullable(),
    secondFactor: z.boolean(),
  })
  .meta({ id: "Person" });

const invitationSchema = z
  .object({ id: z.string(), name: z.string(), email: z.string(), role: roleSchema, expiresAt: z.iso.datetime() })
  .meta({ id: "Invitation" });

const inviteSchema = z
  .object({ name: personNameSchema, email: newEmailSchema, role: roleSchema })
  .meta({ id: "Invite" });
const changeSchema = z
  .object({ role: roleSchema.optional(), left: z.boolean().optional() })
  .strict()
  .meta({ id: "PersonChange" });

export const shownInvitation = ({ id, name, email, role, expiresAt }: InvitationRow) => ({
  id,
  name,
  email,
  role,
  expiresAt: expiresAt.toISOString(),
});

type Device = { userId: string; devices: string; seenAt: Date | null };

async function peopleOf(dataSource: DataSource, companyId: string) {
  const found = await dataSource.getRepository(userEntity).find({ where: { companyId }, take: MOST_PEOPLE });
  const users = found.toSorted((a, b) => a.name.localeCompare(b.name));
  const factors: { userId: string }[] = await dataSource.query(
    `SELECT userId FROM second_factor JOIN user ON user.id = second_factor.userId
     WHERE user.companyId = ? AND confirmedAt IS NOT NULL`,
    [companyId],
  );
  const withSecond = new Set(factors.map(({ userId }) => userId));
  const devices: Device[] = await dataSource.query(
    `SELECT userId, COUNT(*) AS devices, MAX(seenAt) AS seenAt FROM session JOIN user ON user.id = session.userId
     WHERE user.companyId = ? AND expiresAt > UTC_TIMESTAMP() GROUP BY userId`,
    [companyId],
  );
  return users.map((user) => {
    const own = devices.find(({ userId }) => userId === user.id);
    const { id, name, email, role, leftAt } = user;
    const shown = { id, name, email, role, leftAt: leftAt?.toISOString() ?? null };
    const secondFactor = withSecond.has(id);
    return { ...shown, secondFactor, devices: Number(own?.devices ?? 0), seenAt: own?.seenAt?.toISOString() ?? null };
  });
}

/** The person, locked with all owners of the company, so that the last two do not take each other out. Throws 404. */
async function lockPerson(manager: EntityManager, companyId: string, id: string): Promise<UserRow> {
  await lockCompany(manager, companyId);
  const person = await manager.getRepository(userEntity).findOneBy({ id, companyId });
  if (!person) throw notFound("person");
  return person;
}

/** A company without an owner has nobody who could make one. */
async function requireOwnerBeside(manager: EntityManager, person: UserRow): Promise<void> {
  const { companyId } = person;
  const owners = await manager.getRepository(userEntity).findBy({ companyId, role: "owner", leftAt: IsNull() });
  if (owners.some(({ id }) => id !== person.id)) return;
  const message = "This is the only owner. Make somebody else an owner first.";
  throw unfit([{ code: "last-owner", path: "role", message }]);
}

const isHere = (): HttpProblem =>
  unfit([{ code: "email-taken", path: "email", message: "Somebody of your company signs in with this address." }]);

export const peopleEndpoints = (dataSource: DataSource, { mailer, links, inBackground }: Services): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/people",
    access: "owner",
    summary: "The company's people, those who left among them, and invitations that are open",
    status: 200,
    answer: z.object({ items: z.array(personSchema), invitations: z.array(invitationSchema) }),
    handle: async ({ user: { companyId } }) => {
      const where = { companyId, expiresAt: MoreThan(new Date()) };
      const open = await dataSource.getRepository(invitationEntity).find({ where, order: { createdAt: "DESC" } });
      return { items: await peopleOf(dataSource, companyId), invitations: open.map(shownInvitation) };
    },
  }),
  endpoint({
    method: "patch",
    path: "/people/:id",
    access: "owner",
    summary: "Give a person another role, take them out, or bring them back; taken out, they are signed out everywhere",
    status: 200,
    body: changeSchema,
    noted: { what: "person-changed", about: aboutPerson },
    answer: z.object({ items: z.array(personSchema) }),
    handle: async ({ user, param, body }) => {
      await inTransaction(dataSource, async (manager) => {
        const person = await lockPerson(manager, user.companyId, param("id"));
        const role = body.role ?? person.role;
        const leftAt = body.left === undefined ? person.leftAt : body.left ? (person.leftAt ?? new Date()) : null;
        if (person.passwordHash === "" && leftAt === null) {
          throw new HttpProblem(422, { detail: "This person's data was taken out. Invite them anew." });
        }
        if (person.role === "owner" && (role !== "owner" || leftAt)) await requireOwnerBeside(manager, person);
        await manager.getRepository(userEntity).update({ id: person.id }, { role, leftAt });
        if (leftAt) await endDevices(manager, person.id);
      });
      return { items: await peopleOf(dataSource, user.companyId) };
    },
  }),
  endpoint({
    method: "delete",
    path: "/people/:id/sessions",
    access: "owner",
    summary: "Sign a person out on every device, as when a phone is lost",
    status: 200,
    noted: { what: "person-signed-out", about: aboutPerson },
    answer: z.object({ items: z.array(personSchema) }),
    handle: async ({ user, session, param }) => {
      const person = await dataSource
        .getRepository(userEntity)
        .findOneBy({ id: param("id"), companyId: user.companyId });
      if (!person) throw notFound("person");
      await endDevices(dataSource, person.id, person.id === user.id ? session : undefined);
      return { items: await peopleOf(dataSource, user.companyId) };
    },
  }),
  endpoint({
    method: "delete",
    path: "/people/:id/second-factor",
    access: "owner",
    summary:
      "Take a person's second factor out, as when a phone is lost and with it the recovery codes; they are told by a letter",
    status: 200,
    noted: { what: "second-factor-reset", about: aboutPerson },
    answer: z.object({ items: z.array(personSchema) }),
    handle: async ({ user, param }) => {
      const where = { id: param("id"), companyId: user.companyId };
      const person = await dataSource.getRepository(userEntity).findOneBy(where);
      if (!person) throw notFound("person");
      // One's own is taken out with the password and a code.
      if (person.id === user.id) throw new HttpProblem(422, { detail: "Take your own out on the page “You”." });
      if (await hasSecondFactor(dataSource, person.id)) {
        await endSecondFactor(dataSource, person.id);
        inBackground(mailer.send(safetyLetter(person.email, "An owner of your company took your second factor out.")));
      }
      return { items: await peopleOf(dataSource, user.companyId) };
    },
  }),
  endpoint({
    method: "post",
    path: "/people/:id/erase",
    access: "owner",
    summary:
      "Take a person's data out who has left: name, address, password, devices. What they entered stays, by nobody's name",
    status: 200,
    noted: { what: "person-erased", about: aboutPerson },
    answer: z.object({ items: z.array(personSchema), kept: z.array(z.string()) }),
    handle: async ({ user, param }) => {
      await inTransaction(dataSource, async (manager) => {
        const person = await lockPerson(manager, user.companyId, param("id"));
        if (!person.leftAt) throw new HttpProblem(422, { detail: "Take the person out first." });
        await erase(manager, person);
      });
      return { items: await peopleOf(dataSource, user.companyId), kept: KEPT };
    },
  }),
  endpoint({
    method: "post",
    path: "/invitations",
    access: "owner",
    summary:
      "Ask somebody into the company: by a letter, and by a link to hand over, which asks for a letter to be answered; an earlier one no longer works",
    status: 201,
    noted: { what: "invited", about: ({ body }) => [fieldIn(body, "email"), fieldIn(body, "role")].join(", ") },
    body: inviteSchema,
    answer: z.object({ invitation: invitationSchema, link: z.string(), mailed: z.boolean() }),
    handle: async ({ user, body }) => {
      const { companyId } = user;
      const [token, mailToken] = [newToken(), newToken()];
      const now = new Date();
      const invitation: InvitationRow = {
        id: randomUUID(),
        companyId,
        tokenHash: hashToken(token),
        letterHash: hashToken(mailToken),
        ...body,
        createdAt: now,
        createdBy: user.id,
        expiresAt: new Date(now.getTime() + INVITED_DAYS * DAY_MS),
      };
      const company = await inTransaction(dataSource, async (manager) => {
        const inviting = await lockCompany(manager, companyId);
        // Whether somebody is in another company is not this one's to know: they are told when they open the link.
        if (await manager.getRepository(userEntity).existsBy({ email: body.email, companyId })) throw isHere();
        const invitations = manager.getRepository(invitationEntity);
        await invitations.delete({ companyId, email: body.email });
        if ((await invitations.countBy({ companyId })) >= MOST_OPEN) {
          throw unfit([
            { code: "too-many", path: "email", message: `At most ${MOST_OPEN} invitations are open at once.` },
          ]);
        }
        await invitations.insert(invitation);
        return inviting;
      });
      const link = links.invitation(token);
      const about = { company: company.name, by: user.name, link: links.invitation(mailToken), days: INVITED_DAYS };
      const mailed = await mailer.send(invitationLetter(body.email, about));
      return { invitation: shownInvitation(invitation), link, mailed };
    },
  }),
  endpoint({
    method: "delete",
    path: "/invitations/:id",
    access: "owner",
    summary: "Take an invitation back: its link no longer works",
    status: 204,
    handle: async ({ user, param, received }) => {
      await inTransaction(dataSource, async (manager) => {
        const invitations = manager.getRepository(invitationEntity);
        const where = { id: param("id"), companyId: user.companyId };
        const open = await invitations.findOneBy(where);
        const { affected } = await invitations.delete(where);
        if (!affected) throw notFound("invitation");
        await noteEvent(manager, "invitation-taken-back", user, received, open?.email);
      });
    },
  }),
];

/** What stays of a person whose data was taken out, and why. */
const KEPT = [
  "What they measured and changed stays in its jobs and in their history, as by “Someone who has left”: it is the company's.",
  "Issued quotes stay as the customers have them; they do not name who issued them.",
  "Backups that were made before keep it until they are thrown away.",
];

const NAMELESS = "Someone who has left";
const literal = (text: string): string => text.replace(/[\\%_]/g, "\\$&");

async function erase(manager: EntityManager, person: UserRow): Promise<void> {
  const { id, companyId, email } = person;
  await endDevices(manager, id);
  await endSecondFactor(manager, id);
  await manager.getRepository(invitationEntity).delete({ companyId, email });
  await manager.getRepository(entryToConfirmEntity).delete({ email });
  await manager.query(
    "UPDATE event SET who = ?, about = '', place = '', device = '' WHERE companyId = ? AND userId = ?",
    [NAMELESS, companyId, id],
  );
  await manager.query("UPDATE event SET about = '' WHERE companyId = ? AND about LIKE ?", [
    companyId,
    `%${literal(email)}%`,
  ]);
  await manager.query("UPDATE user SET deviceKey = '' WHERE id = ?", [id]);
  const nobody = { name: NAMELESS, email: `${id}@erased.invalid`, passwordHash: "" };
  await manager.getRepository(userEntity).update({ id }, nobody);
  // Answers that were kept for commands sent twice may be of them.
  await manager.query("DELETE FROM command WHERE companyId = ? AND userId = ?", [companyId, id]);
}
