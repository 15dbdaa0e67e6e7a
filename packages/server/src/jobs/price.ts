import { type BuildUp, type Reckoning, reckonJob } from "@wide-porch/core/reckoning";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { libraryOf } from "../assemblies/store";
import { type Endpoint, endpoint } from "../http/endpoint";
import { priceStamp, pricesOfJob } from "../priceList/inForce";
import { changeAndPrices, jobOf, partsOf } from "./store";
import { type JobTotalRow, jobTotalEntity, KEPT } from "./totals";

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

/** The price as it is now, its total kept for the list of jobs. */
async function priced(dataSource: DataSource, companyId: string, jobId: string): Promise<BuildUp> {
  const stamp = await stampOf(dataSource, companyId, jobId);
  const { buildUp } = await reckon(dataSource, companyId, jobId);
  const { total, marginOnPricePercent } = buildUp;
  if (isKept(total)) {
    const row = { jobId, companyId, ...stamp, total, marginPercent: clipped(marginOnPricePercent) };
    await dataSource.getRepository(jobTotalEntity).upsert(row, ["jobId"]);
  }
  return buildUp;
}

export const jobPriceEndpoints = (dataSource: DataSource): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/jobs/:jobId/price",
    access: "sees-costs",
    summary: "The build-up from cost to price; 304 where it is the one that the tag names",
    status: 200,
    heavy: true,
    tag: ({ params }, { user }) => priceTag(dataSource, user.companyId, params.jobId ?? ""),
    answer: z.unknown(),
    handle: ({ user, param }) => priced(dataSource, user.companyId, param("jobId")),
  }),
  endpoint({
    method: "get",
    path: "/jobs/:jobId/total",
    access: "sees-costs",
    summary: "What the job comes to, and its margin",
    status: 200,
    heavy: true,
    tag: ({ params }, { user }) => priceTag(dataSource, user.companyId, params.jobId ?? ""),
    answer: z.object({ total: z.string(), marginPercent: z.string() }),
    handle: async ({ user, param }) => {
      const { companyId } = user;
      const jobId = param("jobId");
      const stamp = await stampOf(dataSource, companyId, jobId);
      const kept = await dataSource.getRepository(jobTotalEntity).findOneBy({ jobId, companyId, ...stamp });
      if (kept) return { total: kept.total, marginPercent: kept.marginPercent };
      const { total, marginOnPricePercent: marginPercent } = await priced(dataSource, companyId, jobId);
      return { total, marginPercent };
    },
  }),
];
