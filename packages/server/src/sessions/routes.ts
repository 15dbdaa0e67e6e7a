import { companyProfileSchema } from "@wide-porch/core";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { emailSchema } from "../accounts/address";
import { ROLES } from "../companies/entity";
import type { Config } from "../config";
import { DEMO_PASSWORD, DEMO_PEOPLE } from "../demo/people";
import { noteEvent } from "../events/note";
import { type Endpoint, publicEndpoint } from "../http/endpoint";
import { Reply } from "../http/reply";
import type { Services } from "../services";
import { sessionEntity } from "./entity";
import { signIn } from "./signIn";
import { describeSession } from "./store";

export const sessionSchema = z
  .object({
    user: z.object({
      id: z.string(),
      name: z.string(),
      email: z.string(),
      role: z.enum(ROLES),
      /** Whether letters to the address have been shown to reach the person. */
      addressConfirmed: z.boolean(),
    }),
    company: z.object({
      id: z.string(),
      name: z.string(),
      address: z.string(),
      /** The invented one that a demonstration begins with. */
      demo: z.boolean(),
      profile: companyProfileSchema,
    }),
    csrfToken: z.string(),
    /** What the person's entries are sealed with on their devices. */
    deviceKey: z.string(),
    /** The company asks for a second factor, and the person has none yet. */
    needsSecondFactor: z.boolean(),
  })
  .meta({ id: "Session" });

/** A code of the authenticator or for recovery, as it was typed. */
export const codeSchema = z.string().max(40);

const signInSchema = z
  .object({ email: emailSchema, password: z.string().min(1).max(1000), code: codeSchema.optional() })
  .meta({ id: "SignIn" });

const demoPersonSchema = z.object({ name: z.string(), email: z.string(), role: z.enum(ROLES), password: z.string() });

/** What the browser has of the company's in its own store of answers goes. */
const NOTHING_LEFT = { "Clear-Site-Data": '"cache"' };

export const sessionEndpoints = (
  dataSource: DataSource,
  config: Pick<Config, "demo" | "longestDays">,
  services: Services,
): Endpoint[] => [
  publicEndpoint({
    method: "post",
    path: "/session",
    access: "public",
    summary: "Sign in; 428 where a code of the second factor is to be sent with it",
    status: 201,
    body: signInSchema,
    answer: sessionSchema,
    handle: ({ body, received }) => signIn({ dataSource, config, services }, body, received),
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
    handle: async ({ received }) => {
      const { signedIn } = received;
      if (signedIn) {
        await dataSource.getRepository(sessionEntity).delete({ id: signedIn.session.id });
        await noteEvent(dataSource, "signed-out", signedIn.user, received);
      }
      return new Reply(undefined, { cookie: null, headers: NOTHING_LEFT });
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
