import type { DataSource } from "typeorm";
import type { z } from "zod";
import type { Role } from "../companies/entity";
import type { EventKind } from "../events/entity";
import { HttpProblem, notFound, problemsOf, unfit } from "./problemDetails";
import type { Received } from "./received";
import type { SignedIn } from "./signedIn";
import { requireFewValues, textProblems } from "./wellFormed";

declare global {
  namespace Express {
    interface Request {
      signedIn?: SignedIn;
      /** What the device is known by: the token of its own cookie. */
      device?: string;
    }
  }
}

/** Who may call: anyone, anyone signed in, those who see costs, or the company's owners. */
export type Access = "public" | "signed-in" | "sees-costs" | "owner";

export const seesCosts = (role: Role): boolean => role !== "crew";

export type Call<Body, Query> = {
  readonly received: Received;
  readonly body: Body;
  readonly query: Query;
  readonly param: (name: string) => string;
};

/** How large a body may be, and whether it is passed on as bytes. */
export type BodyOf = "json" | "record" | "large-json" | "picture" | "job-file";

/** Which threads answer: those that reckon and decode, or those that read and write records that may be large. */
export type Lane = "reckoning" | "records";

/** What of a request goes into the company's log once it was done. */
export type Noted = {
  readonly what: EventKind;
  /** What it was about, in words that are understood when the record itself is gone. */
  readonly about?: (received: Received, source: DataSource) => string | Promise<string>;
};

type Shared = {
  readonly method: "get" | "post" | "put" | "patch" | "delete";
  /** Express form: `/jobs/:jobId`. */
  readonly path: string;
  readonly summary: string;
  readonly status: 200 | 201 | 202 | 204;
  /** What is answered; none for a file or an empty answer. */
  readonly answer?: z.ZodType;
  readonly contentType?: string;
  /** Answered by a thread of that lane: what reckons, decodes, or reads or writes much. The thread that listens answers the rest. */
  readonly lane?: Lane;
  /** How long it may take, where that is longer than its lane's usual. */
  readonly longestMs?: number;
  /** The answer where it is small and found at once, by the thread that listens; undefined where the lane is to answer. */
  readonly atOnce?: (received: Received, signedIn: SignedIn) => Promise<object | undefined>;
  /** Written into the company's log once it is done. */
  readonly noted?: Noted;
  /** Asked by somebody who has yet to set up the second factor that their company asks for. */
  readonly withoutSecondFactor?: true;
  /** Of another body than a record of JSON. */
  readonly bodyOf?: BodyOf;
  /** What the answer follows from, found cheaply: the same tag is the same answer. */
  readonly tag?: (received: Received, signedIn: SignedIn) => Promise<string>;
};

type PublicDefinition<Body, Query> = Shared & {
  readonly access: "public";
  readonly body?: z.ZodType<Body>;
  readonly query?: z.ZodType<Query>;
  readonly handle: (call: Call<Body, Query>) => Promise<unknown>;
};

type SignedInDefinition<Body, Query> = Shared & {
  readonly access: Exclude<Access, "public">;
  readonly body?: z.ZodType<Body>;
  readonly query?: z.ZodType<Query>;
  readonly handle: (call: Call<Body, Query> & SignedIn) => Promise<unknown>;
};

/** One declaration serves the router, the pool and the OpenAPI document. */
export type Endpoint = Shared & {
  readonly access: Access;
  readonly body?: z.ZodType;
  readonly query?: z.ZodType;
  readonly run: (received: Received) => Promise<unknown>;
};

/** What an endpoint is called: `get /jobs/:jobId`. */
export const keyOf = ({ method, path }: Pick<Endpoint, "method" | "path">): string => `${method} ${path}`;

function parse<T>(schema: z.ZodType<T> | undefined, value: unknown): T {
  // Without a schema the type parameter is undefined by inference, and nothing is read.
  if (!schema) return undefined as T;
  const result = schema.safeParse(value);
  if (!result.success) throw unfit(problemsOf(result.error));
  return result.data;
}

/** A price list of 50,000 items, or a job of 2,000 large parts, and more. */
const MOST_VALUES = 3_000_000;

/** Bodies that came as bytes because they are large are read where they are answered. */
function bodyOf({ bodyOf: kind }: Pick<Shared, "bodyOf">, body: unknown): unknown {
  if (kind === undefined || kind === "json" || kind === "picture" || !(body instanceof Uint8Array)) return body;
  requireFewValues(body, MOST_VALUES);
  try {
    return JSON.parse(Buffer.from(body.buffer, body.byteOffset, body.byteLength).toString("utf8"));
  } catch {
    throw new HttpProblem(400);
  }
}

/** Parameters that are words of people, as they typed them. */
const WORDS: ReadonlySet<string> = new Set(["code", "name"]);
const PLAIN_ID = /^[A-Za-z0-9._-]{1,120}$/;
/** Ids that we make are UUIDs in small letters. */
const OTHER_LETTERS = /^(?=.*[A-F])[0-9A-Fa-f-]{36}$/;
const LONGEST_WORD = 200;

/** An id is what it is by its bytes: in other letters that the database takes for the same it is nobody's. Throws 404. */
function requirePlainIds(params: Readonly<Record<string, string>>): void {
  const isPlain = ([name, value]: [string, string]) =>
    WORDS.has(name) ? value.length <= LONGEST_WORD : PLAIN_ID.test(value) && !OTHER_LETTERS.test(value);
  if (!Object.entries(params).every(isPlain)) throw notFound("record");
}

function callOf<Body, Query>(
  definition: Shared & { body?: z.ZodType<Body>; query?: z.ZodType<Query> },
  received: Received,
): Call<Body, Query> {
  const body = bodyOf(definition, received.body);
  const problems = [...textProblems(body), ...textProblems(received.params), ...textProblems(received.query)];
  if (problems.length > 0) throw unfit(problems);
  requirePlainIds(received.params);
  return {
    received,
    body: parse(definition.body, body),
    query: parse(definition.query, received.query),
    param: (name) => received.params[name] ?? "",
  };
}

const SECOND_FACTOR_FIRST = "Your company asks for a second factor. Set it up first.";

/** Who is signed in, for an endpoint that asks for somebody. Throws 401, and 403 for a role that it is not for. */
export function admitted(
  { access, withoutSecondFactor }: Pick<Endpoint, "access" | "withoutSecondFactor">,
  signedIn: SignedIn | undefined,
): SignedIn {
  if (!signedIn) throw new HttpProblem(401);
  if (signedIn.needsSecondFactor && !withoutSecondFactor) {
    const problem = { code: "second-factor-first", path: "", message: SECOND_FACTOR_FIRST };
    throw new HttpProblem(403, { detail: SECOND_FACTOR_FIRST, problems: [problem] });
  }
  if (access === "sees-costs" && !seesCosts(signedIn.user.role)) {
    throw new HttpProblem(403, { detail: "Costs and quotes are not shown to crew." });
  }
  if (access === "owner" && signedIn.user.role !== "owner") {
    throw new HttpProblem(403, { detail: "Only an owner of the company can do this." });
  }
  return signedIn;
}

export function publicEndpoint<Body = undefined, Query = undefined>(
  definition: PublicDefinition<Body, Query>,
): Endpoint {
  return { ...definition, run: async (received) => definition.handle(callOf(definition, received)) };
}

export function endpoint<Body = undefined, Query = undefined>(definition: SignedInDefinition<Body, Query>): Endpoint {
  const run = async (received: Received) => {
    const signedIn = admitted(definition, received.signedIn);
    return definition.handle({ ...callOf(definition, received), ...signedIn });
  };
  return { ...definition, run };
}
