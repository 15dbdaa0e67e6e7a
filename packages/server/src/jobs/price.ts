import { type Reckoning, reckonJob } from "@wide-porch/core/reckoning";
import { LRUCache } from "lru-cache";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { libraryOf } from "../assemblies/store";
import { type Endpoint, endpoint } from "../http/endpoint";
import { priceStamp, pricesOfJob } from "../priceList/inForce";
import { changeAndPrices, jobOf, partsOf } from "./store";
import { jobTotalEntity, KEPT } from "./totals";

/** The whole line for a job as it stands, at the prices that it keeps. */
export async function reckon(dataSource: DataSource, companyId: string, jobId: string): Promise<Reckoning> {
  const row = await jobOf(dataSource, companyId, jobId);
  const parts = (await partsOf(dataSource, companyId, jobId)).map((part) => part.data);
  const priceList = await pricesOfJob(dataSource, companyId, row.data);
  return reckonJob(row.data, parts, priceList, await libraryOf(dataSource, companyId, row.data, parts));
}

const MOST_BYTES = 64 * 1024 * 1024;

type Priced = { readonly tag: string; readonly json: Buffer; readonly total: string; readonly marginPercent: string };

/** DECIMAL(16, 2): what is beyond it is nobody's price, and is not kept. */
const isKept = ({ total }: Priced): boolean => Math.abs(Number(total)) < 1e13;

/** Prices as they were answered, by what they follow from: a job that nobody touched is not reckoned again. */
class Prices {
  private readonly known = new LRUCache<string, Priced>({
    maxSize: MOST_BYTES,
    sizeCalculation: ({ json }) => json.length,
  });

  constructor(private readonly dataSource: DataSource) {}

  /** Throws 404. */
  async of(companyId: string, jobId: string): Promise<Priced> {
    const { changeNumber, keepsPrices } = await changeAndPrices(this.dataSource, companyId, jobId);
    const stamp = keepsPrices ? KEPT : await priceStamp(this.dataSource, companyId);
    const tag = `"${jobId}-${changeNumber}-${stamp}"`;
    const before = this.known.get(tag);
    if (before) return before;
    const { buildUp } = await reckon(this.dataSource, companyId, jobId);
    const { total, marginOnPricePercent: marginPercent } = buildUp;
    const priced = { tag, json: Buffer.from(JSON.stringify(buildUp)), total, marginPercent };
    this.known.set(tag, priced);
    if (isKept(priced)) {
      const row = { jobId, companyId, changeNumber, priceStamp: stamp, total, marginPercent: clipped(marginPercent) };
      await this.dataSource.getRepository(jobTotalEntity).upsert(row, ["jobId"]);
    }
    return priced;
  }
}

/** DECIMAL(9, 1). */
const clipped = (percent: string): string => String(Math.max(-99_999_999, Math.min(99_999_999, Number(percent))));

export const jobPriceEndpoints = (dataSource: DataSource): Endpoint[] => {
  const prices = new Prices(dataSource);
  return [
    endpoint({
      method: "get",
      path: "/jobs/:jobId/price",
      access: "sees-costs",
      summary: "The build-up from cost to price; 304 where it is the one that the tag names",
      status: 200,
      answer: z.unknown(),
      handle: async ({ user, param, request, response }) => {
        const { tag, json } = await prices.of(user.companyId, param("jobId"));
        response.setHeader("ETag", tag).setHeader("Cache-Control", "private, no-cache");
        if (request.headers["if-none-match"] === tag) response.status(304).end();
        else response.status(200).type("application/json").send(json);
      },
    }),
    endpoint({
      method: "get",
      path: "/jobs/:jobId/total",
      access: "sees-costs",
      summary: "What the job comes to, and its margin",
      status: 200,
      answer: z.object({ total: z.string(), marginPercent: z.string() }),
      handle: async ({ user, param }) => {
        const { total, marginPercent } = await prices.of(user.companyId, param("jobId"));
        return { total, marginPercent };
      },
    }),
  ];
};
