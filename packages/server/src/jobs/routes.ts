import { createHash, randomUUID } from "node:crypto";
import {
  type Assembly,
  assemblySchema,
  type CountLine,
  houseStandardSchema,
  type Job,
  jobChangesSchema as jobFieldsSchema,
  jobSchema,
  newJobSchema,
  plainLine,
  priceItemSchema,
  startJob,
  withoutPrices,
} from "@wide-porch/core/reckoning";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { shownTo } from "../assemblies/shownTo";
import { libraryOf, newestStandard } from "../assemblies/store";
import { companyOf, type UserRow } from "../companies/entity";
import { requireQuota } from "../companies/usage";
import type { Config } from "../config";
import { inTransaction } from "../database/dataSource";
import { isKnown } from "../database/lifted";
import { type Endpoint, endpoint, seesCosts } from "../http/endpoint";
import { HttpProblem, unfit } from "../http/problemDetails";
import { keptItems } from "../priceList/inForce";
import { jobAnswer, jobAnswerSchema, partAnswer, partAnswerSchema } from "./answers";
import { changeOnce, commandOf, once } from "./commands";
import { type JobRow, jobEntity } from "./entity";
import { priceTag, reckon } from "./price";
import { allPartsOf, changeNumberOf, jobOf, lockJob, partsSince } from "./store";

const changesSchema = jobFieldsSchema.strict();

const patchSchema = z
  .object({ commandId: z.uuid(), baseRevision: z.int().min(1), changes: changesSchema })
  .meta({ id: "JobChange" });

const fullJobSchema = z.object({
  /** The last change that this answer knows of. */
  change: z.int(),
  job: jobAnswerSchema,
  parts: z.array(partAnswerSchema),
  /** In the versions its parts are counted with. */
  assemblies: z.array(assemblySchema),
  standard: houseStandardSchema.nullable(),
});

/** Versions of assemblies that the device has, `id@version`: they are not sent again, as a version never changes. */
const knownSchema = z
  .string()
  .max(8000)
  .default("")
  .transform((text) => new Set(text.split(",")));
const sinceSchema = z.object({ since: z.coerce.number().int().min(0), known: knownSchema });

const unknownTo = (known: ReadonlySet<string>, assemblies: readonly Assembly[]) =>
  assemblies.filter(({ id, version }) => !known.has(`${id}@${version}`));

const jobChangesSchema = z.object({
  change: z.int(),
  /** The job, the parts changed since, those in the bin among them, and what these are counted with. */
  changed: fullJobSchema.omit({ change: true }).optional(),
});

/** What a job's answer follows from, for a person of that role who has some assemblies already. Throws 404. */
async function jobTag(dataSource: DataSource, { companyId, role }: UserRow, jobId: string, query: unknown) {
  const change = await changeNumberOf(dataSource, companyId, jobId);
  const known = createHash("sha256").update(JSON.stringify(query)).digest("base64url").slice(0, 16);
  return `${jobId}-${change}-${seesCosts(role) ? "whole" : "crew"}-${known}`;
}

/** More than any job's own record has: its pricing, what was typed, and the wording of its quote. */
const MOST_JOB_BYTES = 1024 * 1024;

function requireSize(job: Job): void {
  if (Buffer.byteLength(JSON.stringify(job)) <= MOST_JOB_BYTES) return;
  const message = "The job's own record has grown too large: more lines, texts and choices than one job can have.";
  throw unfit([{ code: "too-large", path: "changes", message }]);
}

export const jobEndpoints = (dataSource: DataSource, { quotas }: Pick<Config, "quotas">): Endpoint[] => [
  endpoint({
    method: "post",
    path: "/jobs",
    access: "sees-costs",
    summary: "Start a job with the company's pricing and wording",
    status: 201,
    body: newJobSchema,
    answer: jobAnswerSchema,
    handle: ({ user, body, received }) =>
      changeOnce(dataSource, { user, received }, "start-job", async (manager) => {
        await requireQuota(manager, user.companyId, quotas, "jobs", 1);
        const { settings } = await companyOf(manager, user.companyId);
        const usual = await newestStandard(manager, user.companyId, body.system, settings.usualStandards[body.system]);
        const job = startJob(body, settings, usual, new Date().toISOString());
        return jobAnswer(await insertJob(manager, user.companyId, job), user.role);
      }),
  }),
  endpoint({
    method: "get",
    path: "/jobs/:jobId",
    access: "signed-in",
    summary: "A job with its parts",
    status: 200,
    lane: "records",
    tag: ({ params, query }, { user }) => jobTag(dataSource, user, params.jobId ?? "", query),
    query: z.object({ known: knownSchema }),
    answer: fullJobSchema,
    handle: async ({ user, param, query: { known } }) => {
      const row = await jobOf(dataSource, user.companyId, param("jobId"));
      const parts = await allPartsOf(dataSource, user.companyId, row.id);
      const { assemblies, standard } = await libraryOf(
        dataSource,
        user.companyId,
        row.data,
        parts.filter(isKnown).map((part) => part.data),
      );
      return {
        change: row.changeNumber,
        job: jobAnswer(row, user.role),
        parts: parts.map(partAnswer),
        assemblies: unknownTo(known, assemblies).map((each) => shownTo(user.role, each)),
        standard: standard ?? null,
      };
    },
  }),
  endpoint({
    method: "get",
    path: "/jobs/:jobId/changes",
    access: "signed-in",
    summary: "What of a job changed after a change that is known: nothing but the number where nothing did",
    status: 200,
    query: sinceSchema,
    answer: jobChangesSchema,
    lane: "records",
    // Asked every few seconds by every device, and mostly answered by a number.
    atOnce: async ({ params, query }, { user }) => {
      const change = await changeNumberOf(dataSource, user.companyId, params.jobId ?? "");
      return change === sinceSchema.safeParse(query).data?.since ? { change } : undefined;
    },
    handle: async ({ user, param, query: { since, known } }) => {
      const { companyId } = user;
      const change = await changeNumberOf(dataSource, companyId, param("jobId"));
      if (change === since) return { change };
      const row = await jobOf(dataSource, companyId, param("jobId"));
      const changed = await partsSince(dataSource, companyId, row.id, since);
      const counted = changed.filter((part) => part.binnedAt === null && isKnown(part)).map((part) => part.data);
      const { assemblies, standard } = await libraryOf(dataSource, companyId, row.data, counted);
      return {
        change: row.changeNumber,
        changed: {
          job: jobAnswer(row, user.role),
          parts: changed.map(partAnswer),
          assemblies: unknownTo(known, assemblies).map((each) => shownTo(user.role, each)),
          standard: standard ?? null,
        },
      };
    },
  }),
  endpoint({
    method: "get",
    path: "/jobs/:jobId/prices",
    access: "signed-in",
    summary: "The items that the job is reckoned with in another version than the price list has now",
    status: 200,
    answer: z.object({
      /** What of the job this is the answer to. */
      prices: jobSchema.shape.prices,
      kept: z.array(z.object({ revision: z.int(), item: priceItemSchema })),
    }),
    lane: "records",
    handle: async ({ user, param }) => {
      const row = await jobOf(dataSource, user.companyId, param("jobId"));
      const kept = await keptItems(dataSource, user.companyId, row.data);
      const { prices } = row.data;
      if (seesCosts(user.role)) return { prices, kept };
      return { prices, kept: kept.map(({ revision, item }) => ({ revision, item: withoutPrices(item) })) };
    },
  }),
  endpoint({
    method: "patch",
    path: "/jobs/:jobId",
    access: "sees-costs",
    summary: "Change a job's own record; refused with the newer state when someone else changed it meanwhile",
    status: 200,
    lane: "records",
    bodyOf: "record",
    body: patchSchema,
    answer: jobAnswerSchema,
    handle: ({ user, param, body }) =>
      inTransaction(dataSource, async (manager) => {
        const row = await lockJob(manager, user.companyId, param("jobId"));
        const command = commandOf(user, "patch-job", body.commandId, row.id);
        return once(manager, command, async () => {
          if (row.revision !== body.baseRevision) throw new HttpProblem(409, { current: jobAnswer(row, user.role) });
          const data: Job = { ...row.data, ...body.changes };
          requireSize(data);
          const changeNumber = row.changeNumber + 1;
          const changed: JobRow = { ...row, data, revision: row.revision + 1, changeNumber, updatedAt: new Date() };
          await manager.getRepository(jobEntity).save(changed);
          return jobAnswer(changed, user.role);
        });
      }),
  }),
  endpoint({
    method: "get",
    path: "/jobs/:jobId/counts",
    access: "signed-in",
    summary: "Every count line of the job with its working, and the order list without prices",
    status: 200,
    lane: "reckoning",
    tag: ({ params }, { user }) => priceTag(dataSource, user.companyId, params.jobId ?? ""),
    answer: z.object({ counts: z.array(z.unknown()), order: z.unknown() }),
    handle: async ({ user, param }) => {
      const { counts, order } = await reckon(dataSource, user.companyId, param("jobId"));
      const lines = order.lines.map(({ unitPrice: _, ...line }) => line);
      return {
        counts: counts.map(({ drawing: _, ...count }) => ({ ...count, lines: count.lines.map(withoutRate) })),
        order: {
          ...order,
          lines,
          supplied: order.supplied.map(({ rate: _rate, cost: _cost, ...line }) => line),
          cuts: order.cuts.map(({ cost: _cost, bound: _bound, ...cut }) => cut),
        },
      };
    },
  }),
];

/** What is allowed for a thing is a cost, and this answer has none. */
function withoutRate(line: CountLine): object {
  const plain = plainLine(line);
  return plain.supply ? { ...plain, supply: { by: plain.supply.by } } : plain;
}

export async function insertJob(
  source: Pick<DataSource, "getRepository">,
  companyId: string,
  data: Job,
): Promise<JobRow> {
  const now = new Date();
  const row: JobRow = {
    id: randomUUID(),
    companyId,
    revision: 1,
    changeNumber: 1,
    data,
    createdAt: now,
    updatedAt: now,
    binnedAt: null,
    binnedBy: null,
  };
  await source.getRepository(jobEntity).insert(row);
  return row;
}
