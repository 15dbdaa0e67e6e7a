import type { DataSource } from "typeorm";
import { z } from "zod";
import { companyOf, userEntity } from "../companies/entity";
import { inTransaction } from "../database/dataSource";
import { noteEvent } from "../events/note";
import { type Endpoint, endpoint } from "../http/endpoint";
import { notFound, unfit } from "../http/problemDetails";
import { Reply } from "../http/reply";
import { changedLetter, confirmAddressLetter } from "../mail/letters";
import type { Services } from "../services";
import { sessionEntity } from "../sessions/entity";
import { sessionSchema } from "../sessions/routes";
import { describeSession, endDevices } from "../sessions/store";
import { passwordResetEntity } from "./entity";
import { passwordFieldSchema, personNameSchema } from "./newCompany";
import { normalPassword, requirePassword } from "./passwordRules";
import { CONFIRM_HOURS, keepUntilConfirmed } from "./toConfirm";

const deviceSchema = z
  .object({
    id: z.string(),
    /** What the device calls itself. */
    device: z.string(),
    since: z.iso.datetime(),
    seenAt: z.iso.datetime(),
    /** The one that asks. */
    own: z.boolean(),
  })
  .meta({ id: "Device" });

const passwordChangeSchema = z
  .object({ password: passwordFieldSchema.min(1), next: passwordFieldSchema })
  .meta({ id: "PasswordChange" });

/** What somebody changes about themselves, whatever their role. */
export const accountEndpoints = (dataSource: DataSource, services: Services): Endpoint[] => [
  ...ownEndpoints(dataSource, services),
  ...deviceEndpoints(dataSource),
];

const ownEndpoints = (dataSource: DataSource, { passwords, mailer, links, inBackground }: Services): Endpoint[] => [
  endpoint({
    method: "patch",
    path: "/account",
    access: "signed-in",
    summary: "Change one's own name",
    status: 200,
    body: z.object({ name: personNameSchema }).meta({ id: "AccountChange" }),
    answer: sessionSchema,
    handle: async ({ user, session, needsSecondFactor, body }) => {
      await dataSource.getRepository(userEntity).update({ id: user.id }, { name: body.name });
      return describeSession(dataSource, { user: { ...user, name: body.name }, session, needsSecondFactor });
    },
  }),
  endpoint({
    method: "post",
    path: "/account/password",
    access: "signed-in",
    summary: "Change one's own password; all other sessions end",
    status: 204,
    body: passwordChangeSchema,
    handle: async ({ user, session, body, received }) => {
      if (!(await passwords.matches(user.passwordHash, normalPassword(body.password)))) {
        throw unfit([{ code: "wrong-password", path: "password", message: "This is not your password." }]);
      }
      const company = await companyOf(dataSource, user.companyId);
      requirePassword(body.next, [user.name, user.email, company.name], "next");
      const passwordHash = await passwords.hash(normalPassword(body.next));
      await inTransaction(dataSource, async (manager) => {
        await manager.getRepository(userEntity).update({ id: user.id }, { passwordHash });
        await manager.getRepository(passwordResetEntity).delete({ userId: user.id });
        await endDevices(manager, user.id, session);
        await noteEvent(manager, "password-changed", user, received);
      });
      inBackground(mailer.send(changedLetter(user.email)));
      return new Reply(undefined);
    },
  }),
  endpoint({
    method: "post",
    path: "/account/confirm-address",
    access: "signed-in",
    summary: "Send the letter that shows whether one's address reaches one",
    status: 202,
    answer: z.object({ sent: z.literal(true) }),
    handle: async ({ user }) => {
      if (!user.addressConfirmed) {
        const token = await keepUntilConfirmed(dataSource, user.email, { kind: "address", userId: user.id });
        const about = { link: links.confirm(token), hours: CONFIRM_HOURS };
        inBackground(mailer.send(confirmAddressLetter(user.email, about)));
      }
      return { sent: true };
    },
  }),
];

const deviceEndpoints = (dataSource: DataSource): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/account/sessions",
    access: "signed-in",
    summary: "Devices that one is signed in on, last seen first",
    status: 200,
    answer: z.object({ items: z.array(deviceSchema) }),
    handle: async ({ user, session }) => {
      const sessions = dataSource.getRepository(sessionEntity);
      const rows = await sessions.find({ where: { userId: user.id }, order: { seenAt: "DESC" }, take: 100 });
      const items = rows.map(({ id, device, createdAt, seenAt }) => ({
        id,
        device,
        since: createdAt.toISOString(),
        seenAt: seenAt.toISOString(),
        own: id === session.id,
      }));
      return { items };
    },
  }),
  endpoint({
    method: "delete",
    path: "/account/sessions/:id",
    access: "signed-in",
    summary: "Sign one of one's own devices out",
    status: 204,
    noted: { what: "signed-out-elsewhere" },
    handle: async ({ user, param }) => {
      const { affected } = await dataSource.getRepository(sessionEntity).delete({ id: param("id"), userId: user.id });
      if (!affected) throw notFound("device");
    },
  }),
];
