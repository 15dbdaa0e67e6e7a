import type { Request, RequestHandler, Response, Router } from "express";
import type { z } from "zod";
import type { Role, UserRow } from "../companies/entity";
import type { SessionRow } from "../sessions/entity";
import { HttpProblem, problemsOf, unfit } from "./problemDetails";
import { textProblems } from "./wellFormed";

export type SignedIn = { readonly user: UserRow; readonly session: SessionRow };

declare global {
  namespace Express {
    interface Request {
      signedIn?: SignedIn;
    }
  }
}

/** Who may call: anyone, anyone signed in, or those who see costs. */
export type Access = "public" | "signed-in" | "sees-costs";

export const seesCosts = (role: Role): boolean => role !== "crew";

export type Call<Body, Query> = {
  readonly request: Request;
  readonly response: Response;
  readonly body: Body;
  readonly query: Query;
  readonly param: (name: string) => string;
};

type Shared = {
  readonly method: "get" | "post" | "put" | "patch" | "delete";
  /** Express form: `/jobs/:jobId`. */
  readonly path: string;
  readonly summary: string;
  readonly status: 200 | 201 | 204;
  /** What is answered; none for a file or an empty answer. */
  readonly answer?: z.ZodType;
  readonly contentType?: string;
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

/** One declaration serves the router and the OpenAPI document. */
export type Endpoint = Shared & {
  readonly access: Access;
  readonly body?: z.ZodType;
  readonly query?: z.ZodType;
  readonly run: (request: Request, response: Response) => Promise<unknown>;
};

function parse<T>(schema: z.ZodType<T> | undefined, value: unknown): T {
  // Without a schema the type parameter is undefined by inference, and nothing is read.
  if (!schema) return undefined as T;
  const result = schema.safeParse(value);
  if (!result.success) throw unfit(problemsOf(result.error));
  return result.data;
}

function callOf<Body, Query>(
  definition: { body?: z.ZodType<Body>; query?: z.ZodType<Query> },
  request: Request,
  response: Response,
): Call<Body, Query> {
  const problems = [...textProblems(request.body), ...textProblems(request.params), ...textProblems(request.query)];
  if (problems.length > 0) throw unfit(problems);
  return {
    request,
    response,
    body: parse(definition.body, request.body),
    query: parse(definition.query, request.query),
    param: (name) => String(request.params[name]),
  };
}

export function publicEndpoint<Body = undefined, Query = undefined>(
  definition: PublicDefinition<Body, Query>,
): Endpoint {
  return { ...definition, run: (request, response) => definition.handle(callOf(definition, request, response)) };
}

export function endpoint<Body = undefined, Query = undefined>(definition: SignedInDefinition<Body, Query>): Endpoint {
  const run = (request: Request, response: Response) => {
    const { signedIn } = request;
    if (!signedIn) throw new HttpProblem(401);
    if (definition.access === "sees-costs" && !seesCosts(signedIn.user.role)) {
      throw new HttpProblem(403, { detail: "Costs and quotes are not shown to crew." });
    }
    return definition.handle({ ...callOf(definition, request, response), ...signedIn });
  };
  return { ...definition, run: async (request, response) => run(request, response) };
}

const handlerOf =
  (each: Endpoint): RequestHandler =>
  async (request, response) => {
    const answer = await each.run(request, response);
    if (response.headersSent || response.writableEnded) return;
    if (answer === undefined) response.status(each.status).end();
    else response.status(each.status).json(answer);
  };

export function mount(router: Router, endpoints: readonly Endpoint[]): void {
  for (const each of endpoints) router[each.method](each.path, handlerOf(each));
}
