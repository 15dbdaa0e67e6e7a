import { z } from "zod";
import type { Config } from "../config";
import { type Endpoint, endpoint } from "../http/endpoint";
import { HttpProblem, notFound } from "../http/problemDetails";

const PATIENCE_MS = 5000;
const LARGEST_ANSWER = 10_000_000;
const text = (most: number) => z.string().max(most);

const supplierSchema = z.object({ id: text(80).min(1), name: text(120) }).meta({ id: "Supplier" });
const listSchema = z.array(supplierSchema).max(500);

/** What a supplier sends of one thing it sells. What is wrong in it is for people to see: it is passed on as text. */
const sentSchema = z.object({
  code: text(200),
  description: text(400),
  length: text(60),
  price: text(60),
  inStock: z.number().nullish(),
});
const pricesSchema = z.object({ prices: z.array(sentSchema).max(50_000) });

/** Failed dependency (RFC 4918): the server itself answers, and whom it asks does not. */
const failed = (detail: string): HttpProblem => new HttpProblem(424, { title: "No answer from the supplier", detail });

type Asked = Pick<Config, "suppliers">;

/** Asks the suppliers' service. Whatever goes wrong there is told as that; half an answer is none. */
async function asked({ suppliers }: Asked, path: string): Promise<unknown> {
  if (suppliers === undefined)
    throw new HttpProblem(404, { detail: "No suppliers are set up. Read a file of prices." });
  let response: Response;
  let body: string;
  try {
    response = await fetch(new URL(path, suppliers), { signal: AbortSignal.timeout(PATIENCE_MS) });
  } catch (error) {
    // Not an Error everywhere: it has a name all the same.
    const slow = typeof error === "object" && error !== null && "name" in error && error.name === "TimeoutError";
    throw failed(
      slow
        ? "The supplier did not answer in five seconds. Nothing was taken."
        : "The supplier does not answer. Nothing was taken.",
    );
  }
  if (response.status === 404) throw notFound("supplier");
  if (!response.ok) throw failed(`The supplier answers that it cannot (${response.status}). Nothing was taken.`);
  try {
    body = await response.text();
  } catch {
    throw failed("The supplier's answer broke off half-way. Nothing was taken.");
  }
  if (body.length > LARGEST_ANSWER) throw failed("The supplier's answer is too large to read.");
  try {
    return JSON.parse(body);
  } catch {
    throw failed("The supplier's answer cannot be read. Nothing was taken.");
  }
}

function read<T>(schema: z.ZodType<T>, answer: unknown): T {
  const found = schema.safeParse(answer);
  if (!found.success) throw failed("The supplier's answer is not what was asked for. Nothing was taken.");
  return found.data;
}

const COLUMNS = ["Code", "Description", "Length", "Price", "Supplier"] as const;

export const supplierEndpoints = (config: Asked): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/suppliers",
    access: "sees-costs",
    summary: "Suppliers that send their prices, and the page of their service",
    status: 200,
    answer: z.object({ page: z.string().nullable(), items: z.array(supplierSchema) }),
    handle: async () => ({
      page: config.suppliers ?? null,
      items: read(listSchema, await asked(config, "suppliers")),
    }),
  }),
  endpoint({
    method: "get",
    path: "/suppliers/:id/prices",
    access: "sees-costs",
    summary: "A supplier's prices as rows under headings, as a file would have them; nothing is taken by it",
    status: 200,
    lane: "reckoning",
    answer: z.object({ columns: z.array(z.string()), rows: z.array(z.array(z.string())) }),
    handle: async ({ param }) => {
      const list = read(listSchema, await asked(config, "suppliers"));
      const supplier = list.find(({ id }) => id === param("id"));
      if (!supplier) throw notFound("supplier");
      const { prices } = read(pricesSchema, await asked(config, `suppliers/${encodeURIComponent(supplier.id)}/prices`));
      return {
        columns: [...COLUMNS],
        rows: prices.map(({ code, description, length, price }) => [code, description, length, price, supplier.name]),
      };
    },
  }),
];
