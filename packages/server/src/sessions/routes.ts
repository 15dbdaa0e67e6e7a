import { companyProfileSchema } from "@wide-porch/core";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { normalPassword } from "../accounts/passwordRules";
import { companyEntity, ROLES, type UserRow, userEntity } from "../companies/entity";
import type { Config } from "../config";
import { DEMO_PASSWORD, DEMO_PEOPLE } from "../demo/people";
import { type Endpoint, publicEndpoint } from "../http/endpoint";
import { HttpProblem } from "../http/problemDetails";
import { Reply } from "../http/reply";
import type { Services } from "../services";
import { sessionEntity } from "./entity";
import type { Passwords } from "./passwords";
import { describeSession, startSession } from "./store";

export const sessionSchema = z
  .object({
    user: z.object({ id: z.string(), name: z.string(), email: z.string(), role: z.enum(ROLES) }),
    company: z.object({
      id: z.string(),
      name: z.string(),
      address: z.string(),
      /** The invented one that a demonstration begins with. */
      demo: z.boolean(),
      profile: companyProfileSchema,
    }),
    csrfToken: z.string(),
  })
  .meta({ id: "Session" });

export const emailSchema = z.string().trim().toLowerCase().max(190);

const signInSchema = z.object({ email: emailSchema, password: z.string().min(1).max(1000) }).meta({ id: "SignIn" });

const demoPersonSchema = z.object({ name: z.string(), email: z.string(), role: z.enum(ROLES), password: z.string() });

/** Whoever an address and a password go together for. People who left, and the demo's where there is none, are nobody. Throws 401. */
async function personFor(
  dataSource: DataSource,
  passwords: Passwords,
  { demo }: Pick<Config, "demo">,
  { email, password }: z.infer<typeof signInSchema>,
): Promise<UserRow> {
  const user = await dataSource.getRepository(userEntity).findOneBy({ email });
  const matches = await passwords.matches(user?.passwordHash || undefined, normalPassword(password));
  const refused = new HttpProblem(401, { detail: "This address and password do not go together." });
  if (!user || !matches || user.leftAt) throw refused;
  if (demo) return user;
  const isDemo = await dataSource.getRepository(companyEntity).existsBy({ id: user.companyId, demo: true });
  if (isDemo) throw refused;
  return user;
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
    handle: async ({ body, received }) => {
      const user = await personFor(dataSource, passwords, config, body);
      const { signedIn, cookie } = await startSession(dataSource, user, received.userAgent);
      return new Reply(await describeSession(dataSource, signedIn), { cookie });
    },
  }),
  publicEndpoint({
    method: "get",
    path: "/session",
    access: "public",
    summary: "Who is signed in, if anyone, and the token that changes must carry",
    status: 200,
    answer: z.object({ session: sessionSchema.nullable() }),
    handle: async ({ received: { signedIn } }) => ({
      session: signedIn ? await describeSession(dataSource, signedIn) : null,
    }),
  }),
  publicEndpoint({
    method: "delete",
    path: "/session",
    access: "public",
    summary: "Sign out",
    status: 204,
    handle: async ({ received: { signedIn } }) => {
      if (signedIn) await dataSource.getRepository(sessionEntity).delete({ id: signedIn.session.id });
      return new Reply(undefined, { cookie: null });
    },
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
