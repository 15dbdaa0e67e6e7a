import type { DataSource } from "typeorm";
import { z } from "zod";
import { companyEntity, ROLES, type UserRow, userEntity } from "../companies/entity";
import type { Config } from "../config";
import { DEMO_PASSWORD, DEMO_PEOPLE } from "../demo/people";
import { type Endpoint, publicEndpoint, type SignedIn } from "../http/endpoint";
import { HttpProblem } from "../http/problemDetails";
import type { Received } from "../http/received";
import { type CookieChange, Reply } from "../http/reply";
import type { Services } from "../services";
import { sessionEntity } from "./entity";
import type { Passwords } from "./passwords";
import { hashToken, newToken } from "./tokens";

const SESSION_DAYS = 30;
const DAY_MS = 86_400_000;

export const sessionSchema = z
  .object({
    user: z.object({ id: z.string(), name: z.string(), email: z.string(), role: z.enum(ROLES) }),
    company: z.object({ id: z.string(), name: z.string(), address: z.string() }),
    csrfToken: z.string(),
  })
  .meta({ id: "Session" });

const signInSchema = z
  .object({ email: z.string().trim().toLowerCase().max(190), password: z.string().min(1).max(200) })
  .meta({ id: "SignIn" });

const demoPersonSchema = z.object({ name: z.string(), email: z.string(), role: z.enum(ROLES), password: z.string() });

async function describe(dataSource: DataSource, { user, session }: SignedIn): Promise<z.infer<typeof sessionSchema>> {
  const company = await dataSource.getRepository(companyEntity).findOneByOrFail({ id: user.companyId });
  return {
    user: { id: user.id, name: user.name, email: user.email, role: user.role },
    company: { id: company.id, name: company.name, address: company.settings.address },
    csrfToken: session.csrfToken,
  };
}

async function startSession(
  dataSource: DataSource,
  user: UserRow,
): Promise<{ readonly signedIn: SignedIn; readonly cookie: CookieChange }> {
  const token = newToken();
  const expiresAt = new Date(Date.now() + SESSION_DAYS * DAY_MS);
  const session = { id: hashToken(token), userId: user.id, csrfToken: newToken(), expiresAt };
  const sessions = dataSource.getRepository(sessionEntity);
  await sessions.createQueryBuilder().delete().where("expiresAt < UTC_TIMESTAMP()").execute();
  await sessions.insert(session);
  return { signedIn: { user, session }, cookie: { token, expires: expiresAt } };
}

async function personFor(
  dataSource: DataSource,
  passwords: Passwords,
  email: string,
  password: string,
): Promise<UserRow> {
  const user = await dataSource.getRepository(userEntity).findOneBy({ email });
  const matches = await passwords.matches(user?.passwordHash, password);
  if (!user || !matches) throw new HttpProblem(401, { detail: "This address and password do not go together." });
  return user;
}

async function endSession(dataSource: DataSource, { signedIn }: Received): Promise<Reply> {
  if (signedIn) await dataSource.getRepository(sessionEntity).delete({ id: signedIn.session.id });
  return new Reply(undefined, { cookie: null });
}

export const sessionEndpoints = (
  dataSource: DataSource,
  config: Pick<Config, "demo">,
  { passwords }: Services,
): Endpoint[] => [
  publicEndpoint({
    method: "post",
    path: "/session",
    access: "public",
    summary: "Sign in",
    status: 201,
    body: signInSchema,
    answer: sessionSchema,
    handle: async ({ body }) => {
      const user = await personFor(dataSource, passwords, body.email, body.password);
      const { signedIn, cookie } = await startSession(dataSource, user);
      return new Reply(await describe(dataSource, signedIn), { cookie });
    },
  }),
  publicEndpoint({
    method: "get",
    path: "/session",
    access: "public",
    summary: "Who is signed in, if anyone, and the token that changes must carry",
    status: 200,
    answer: z.object({ session: sessionSchema.nullable() }),
    handle: async ({ received: { signedIn } }) => ({ session: signedIn ? await describe(dataSource, signedIn) : null }),
  }),
  publicEndpoint({
    method: "delete",
    path: "/session",
    access: "public",
    summary: "Sign out",
    status: 204,
    handle: ({ received }) => endSession(dataSource, received),
  }),
  publicEndpoint({
    method: "get",
    path: "/demo-people",
    access: "public",
    summary: "The demo company's people; empty unless the server runs with demo data",
    status: 200,
    answer: z.object({ items: z.array(demoPersonSchema) }),
    handle: async () => ({
      items: config.demo
        ? DEMO_PEOPLE.map(({ name, email, role }) => ({ name, email, role, password: DEMO_PASSWORD }))
        : [],
    }),
  }),
];
