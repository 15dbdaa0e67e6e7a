import { ask } from "../api/client";
import { fullJobSchema, keptPricesSchema, type PriceRecord } from "../api/records";
import type { PricedBy } from "../worker/reckon.worker";
import { pricesInForce } from "./pricesInForce";
import { rulesOf } from "./rules";

/** A job that is not open, with everything that its price follows from. Throws what asking throws, and where its costs are not shown. */
export async function loadPriced(jobId: string, newest: readonly PriceRecord[]): Promise<PricedBy> {
  const full = await ask(fullJobSchema, "GET", `/jobs/${jobId}`);
  const { job } = full.job;
  if (job.pricing === null) throw new Error(`loadPriced: the costs of job ${jobId} are not shown here`);
  const kept = await ask(keptPricesSchema, "GET", `/jobs/${jobId}/prices`);
  const parts = full.parts.filter(({ binned }) => !binned).map(({ part }) => part);
  const priceList = pricesInForce(newest, kept, job.prices);
  return { job: { ...job, pricing: job.pricing }, parts, priceList, ...rulesOf(full, undefined) };
}
