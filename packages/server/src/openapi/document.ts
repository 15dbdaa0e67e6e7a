import type { z } from "zod";
import { createDocument, type ZodOpenApiOperationObject, type ZodOpenApiPathsObject } from "zod-openapi";
import type { Endpoint } from "../http/endpoint";
import { problemDetailsSchema } from "../http/problemDetails";

const PROBLEMS = {
  400: "Malformed",
  401: "Not signed in",
  403: "Not allowed",
  404: "Not found",
  409: "Changed meanwhile",
  422: "Does not fit",
};

const problemResponses = Object.fromEntries(
  Object.entries(PROBLEMS).map(([status, description]) => [
    status,
    { description, content: { "application/problem+json": { schema: problemDetailsSchema } } },
  ]),
);

const parametersOf = (path: string) =>
  [...path.matchAll(/:(\w+)/g)].map((match) => ({
    name: match[1] ?? "",
    in: "path" as const,
    required: true,
    schema: { type: "string" as const },
  }));

function operationOf(endpoint: Endpoint): ZodOpenApiOperationObject {
  const contentType = endpoint.contentType ?? "application/json";
  const content = endpoint.answer ? { [contentType]: { schema: endpoint.answer } } : undefined;
  const file = endpoint.contentType
    ? { [contentType]: { schema: { type: "string" as const, format: "binary" } } }
    : undefined;
  return {
    summary: endpoint.summary,
    security: endpoint.access === "public" ? [] : [{ session: [] }],
    parameters: parametersOf(endpoint.path),
    ...(endpoint.query ? { requestParams: { query: endpoint.query as z.ZodObject } } : {}),
    ...(endpoint.body
      ? { requestBody: { required: true, content: { "application/json": { schema: endpoint.body } } } }
      : {}),
    responses: {
      [endpoint.status]: { description: "Done", ...(content || file ? { content: { ...content, ...file } } : {}) },
      ...problemResponses,
    },
  };
}

/** OpenAPI 3.1 from the same declarations that the router is made of. */
export function openApiDocument(endpoints: readonly Endpoint[]) {
  const paths: ZodOpenApiPathsObject = {};
  for (const each of endpoints) {
    const path = each.path.replace(/:(\w+)/g, "{$1}");
    paths[path] = { ...paths[path], [each.method]: operationOf(each) };
  }
  return createDocument({
    openapi: "3.1.0",
    info: { title: "Wide Porch", version: "1", description: "Lengths are whole nanometres; money is decimal text." },
    servers: [{ url: "/api/v1" }],
    paths,
    components: {
      securitySchemes: { session: { type: "apiKey", in: "cookie", name: "wide_porch_session" } },
    },
  });
}
