import { ask } from "../api/client";
import {
  fullJobSchema,
  type JobListItem,
  keptPricesSchema,
  priceListSchema,
  type QuoteRecord,
  quoteInputsSchema,
} from "../api/records";
import { pricesInForce } from "../job/pricesInForce";
import { rulesOf } from "../job/rules";
import type { PricedBy } from "../worker/reckon.worker";

/** An estimate that can be put beside others, and how what it follows from is had. */
export type Candidate = {
  readonly id: string;
  readonly name: string;
  readonly under: string;
  readonly currency: string;
  readonly system: "imperial" | "metric";
  readonly load: () => Promise<PricedBy>;
};

/** A quote as it was issued. */
export const quoteCandidate = (
  jobId: string,
  job: Pick<Candidate, "system" | "currency">,
  { id, number, issuedAt }: QuoteRecord,
): Candidate => ({
  ...job,
  id: `quote/${id}`,
  name: `Quote ${number}`,
  under: `Issued ${issuedAt.slice(0, 10)}`,
  load: async () => {
    const inputs = await ask(quoteInputsSchema, "GET", `/jobs/${jobId}/quotes/${id}/inputs`);
    return { ...inputs, standard: inputs.standard ?? undefined };
  },
});

async function loadJob(id: string): Promise<PricedBy> {
  const full = await ask(fullJobSchema, "GET", `/jobs/${id}`);
  const { job } = full.job;
  if (job.pricing === null) throw new Error(`loadJob: the costs of job ${id} are not shown here`);
  const kept = await ask(keptPricesSchema, "GET", `/jobs/${id}/prices`);
  const list = await ask(priceListSchema, "GET", "/price-list");
  const parts = full.parts.filter(({ binned }) => !binned).map(({ part }) => part);
  const priceList = pricesInForce(list.items, kept, job.prices);
  return { job: { ...job, pricing: job.pricing }, parts, priceList, ...rulesOf(full, undefined) };
}

/** Another job as it stands. */
export const jobCandidate = ({ id, job }: JobListItem): Candidate => ({
  id: `job/${id}`,
  name: job.title,
  under: job.customerName,
  currency: job.currency,
  system: job.system,
  load: () => loadJob(id),
});
