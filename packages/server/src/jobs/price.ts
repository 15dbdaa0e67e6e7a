import { type BuildUp, type Reckoning, reckonJob } from "@wide-porch/core/reckoning";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { libraryOf } from "../assemblies/store";
import type { Config } from "../config";
import { type Endpoint, endpoint } from "../http/endpoint";
import { priceStamp, pricesOfJob } from "../priceList/inForce";
import { changeAndPrices, jobOf, partsOf } from "./store";
import { type JobTotalRow, jobTotalEntity, KEPT, shortBuild } from "./totals";

/** The whole line for a job as it stands, at the prices that it keeps. */
export async function reckon(dataSource: DataSource, companyId: string, jobId: string): Promise<Reckoning> {
  const row = await jobOf(dataSource, companyId, jobId);
  const parts = (await partsOf(dataSource, companyId, jobId)).map((part) => part.data);
  const priceList = await pricesOfJob(dataSource, companyId, row.data);
  return reckonJob(row.data, parts, priceList, await libraryOf(dataSource, companyId, row.data, parts));
}

type Stamped = Pick<JobTotalRow, "changeNumber" | "priceStamp">;

/** What counts and prices of a job follow from, without reading it. Throws 404. */
async function stampOf(dataSource: DataSource, companyId: string, jobId: string): Promise<Stamped> {
  const { changeNumber, keepsPrices } = await changeAndPrices(dataSource, companyId, jobId);
  return { changeNumber, priceStamp: keepsPrices ? KEPT : await priceStamp(dataSource, companyId) };
}

/** A tag of the job as it stands, at the prices that it has. */
export async function priceTag(dataSource: DataSource, companyId: string, jobId: string): Promise<string> {
  const { changeNumber, priceStamp: stamp } = await stampOf(dataSource, companyId, jobId);
  return `${jobId}-${changeNumber}-${stamp}`;
}

/** DECIMAL(16, 2): what is beyond it is nobody's price, and is not kept. */
const isKept = (total: string): boolean => Math.abs(Number(total)) < 1e13;
/** DECIMAL(9, 1). */
const clipped = (percent: string): string => String(Math.max(-99_999_999, Math.min(99_999_999, Number(percent))));

/**
 * What an earlier build of the program made of the same job at the same prices: an update that changes the price of a draft is told, until
 * somebody changes the job.
 */
function formerOf(
  before: JobTotalRow | null,
  now: Pick<JobTotalRow, "changeNumber" | "priceStamp" | "build" | "total">,
) {
  if (!before || before.changeNumber !== now.changeNumber || before.priceStamp !== now.priceStamp) return null;
  const former = before.build === now.build ? before.formerTotal : (before.formerTotal ?? before.total);
  return former !== null && Number(former) !== Number(now.total) ? former : null;
}

/** The price as it is now, its total kept for the list of jobs. */
async function priced(dataSource: DataSource, companyId: string, jobId: string, build: string): Promise<Priced> {
  const stamp = await stampOf(dataSource, companyId, jobId);
  const { buildUp } = await reckon(dataSource, companyId, jobId);
  const { total, marginOnPricePercent } = buildUp;
  if (!isKept(total)) return { buildUp, former: null };
  const totals = dataSource.getRepository(jobTotalEntity);
  const now = { ...stamp, total, build };
  const former = formerOf(await totals.findOneBy({ jobId, companyId }), now);
  const marginPercent = clipped(marginOnPricePercent);
  await totals.upsert({ jobId, companyId, ...now, marginPercent, formerTotal: former }, ["jobId"]);
  return { buildUp, former };
}

type Priced = { readonly buildUp: BuildUp; readonly former: string | null };

export const jobPriceEndpoints = (dataSource: DataSource, config: Pick<Config, "build">): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/jobs/:jobId/price",
    access: "sees-costs",
    summary: "The build-up from cost to price; 304 where it is the one that the tag names",
    status: 200,
    lane: "reckoning",
    tag: ({ params }, { user }) => priceTag(dataSource, user.companyId, params.jobId ?? ""),
    answer: z.unknown(),
    handle: async ({ user, param }) => {
      const { buildUp } = await priced(dataSource, user.companyId, param("jobId"), shortBuild(config.build));
      return buildUp;
    },
  }),
  endpoint({
    method: "get",
    path: "/jobs/:jobId/total",
    access: "sees-costs",
    summary: "What the job comes to, and its margin",
    status: 200,
    lane: "reckoning",
    tag: ({ params }, { user }) => priceTag(dataSource, user.companyId, params.jobId ?? ""),
    answer: z.object({ total: z.string(), marginPercent: z.string(), former: z.string().nullable() }),
    handle: async ({ user, param }) => {
      const { companyId } = user;
      const jobId = param("jobId");
      const build = shortBuild(config.build);
      const stamp = await stampOf(dataSource, companyId, jobId);
      const kept = await dataSource.getRepository(jobTotalEntity).findOneBy({ jobId, companyId, ...stamp, build });
      if (kept) return { total: kept.total, marginPercent: kept.marginPercent, former: kept.formerTotal };
      const { buildUp, former } = await priced(dataSource, companyId, jobId, build);
      return { total: buildUp.total, marginPercent: buildUp.marginOnPricePercent, former };
    },
  }),
];
