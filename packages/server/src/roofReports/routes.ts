import { MOST_REPORT_SHAPES, reportMatchSchema } from "@wide-porch/core";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { companyEntity, companyOf, lockCompany } from "../companies/entity";
import type { Config } from "../config";
import { inTransaction } from "../database/dataSource";
import { type Endpoint, endpoint } from "../http/endpoint";
import { HttpProblem, notFound } from "../http/problemDetails";

const listSchema = z
  .array(z.object({ id: z.string().max(60), title: z.string().max(200), made: z.string().max(40) }))
  .max(500);
const columnsSchema = z.object({ columns: z.record(z.string(), reportMatchSchema) }).meta({ id: "ReportColumns" });
const matchSchema = z
  .object({ shape: z.string().min(1).max(2000), match: reportMatchSchema })
  .meta({ id: "ReportMatch" });

const PATIENCE_MS = 5000;
const LARGEST_REPORT = 1_000_000;

/** Failed dependency (RFC 4918): the server itself answers, and what it asks does not. */
const NO_ANSWER = new HttpProblem(424, {
  title: "No answer from the measuring service",
  detail: "The measuring service does not answer. Try again later, or read a report from a file.",
});

/** Asks the measuring service; whatever goes wrong there is told as that, and ends nothing here. */
async function asked(config: Pick<Config, "roofReports">, path: string): Promise<string> {
  if (config.roofReports === undefined)
    throw new HttpProblem(404, { detail: "No measuring service is set up. Read a report from a file." });
  let response: Response;
  try {
    response = await fetch(new URL(path, config.roofReports), { signal: AbortSignal.timeout(PATIENCE_MS) });
  } catch {
    throw NO_ANSWER;
  }
  if (response.status === 404) throw notFound("measuring report");
  if (!response.ok) throw NO_ANSWER;
  const text = await response.text();
  if (text.length > LARGEST_REPORT) throw new HttpProblem(424, { detail: "This report is too large to read." });
  return text;
}

function listOf(text: string): z.infer<typeof listSchema> {
  try {
    return listSchema.parse(JSON.parse(text));
  } catch {
    throw new HttpProblem(424, { detail: "The measuring service sent a list that cannot be read." });
  }
}

export const roofReportEndpoints = (dataSource: DataSource, config: Pick<Config, "roofReports">): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/roof-reports",
    access: "signed-in",
    summary: "Reports that the measuring service has",
    status: 200,
    answer: z.object({ items: listSchema }),
    handle: async () => ({ items: listOf(await asked(config, "reports")) }),
  }),
  endpoint({
    method: "get",
    path: "/roof-reports/:id",
    access: "signed-in",
    summary: "One report of the measuring service, as it was sent",
    status: 200,
    lane: "reckoning",
    query: z.object({ as: z.enum(["json", "csv"]).default("json") }),
    answer: z.object({ text: z.string() }),
    handle: async ({ param, query }) => ({
      text: await asked(config, `reports/${encodeURIComponent(param("id"))}.${query.as}`),
    }),
  }),
  endpoint({
    method: "get",
    path: "/report-columns",
    access: "signed-in",
    summary: "How the columns of measuring reports were matched, by what columns they have",
    status: 200,
    answer: columnsSchema,
    handle: async ({ user }) => {
      const { settings } = await companyOf(dataSource, user.companyId);
      return { columns: settings.reportColumns };
    },
  }),
  endpoint({
    method: "put",
    path: "/report-columns",
    access: "signed-in",
    summary: "Remember how the columns of a report are matched, for the next one alike",
    status: 200,
    body: matchSchema,
    answer: columnsSchema,
    handle: ({ user, body }) =>
      inTransaction(dataSource, async (manager) => {
        const company = await lockCompany(manager, user.companyId);
        const others = Object.entries(company.settings.reportColumns).filter(([shape]) => shape !== body.shape);
        const kept = [...others, [body.shape, body.match] as const].slice(-MOST_REPORT_SHAPES);
        const reportColumns = Object.fromEntries(kept);
        await manager
          .getRepository(companyEntity)
          .save({ ...company, settings: { ...company.settings, reportColumns } });
        return { columns: reportColumns };
      }),
  }),
];
