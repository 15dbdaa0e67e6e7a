import { ask } from "../api/client";
import { type JobListItem, priceListSchema, type QuoteRecord, quoteInputsSchema } from "../api/records";
import { loadPriced } from "../job/loadPriced";
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

/** Another job as it stands. */
export const jobCandidate = ({ id, job }: JobListItem): Candidate => ({
  id: `job/${id}`,
  name: job.title,
  under: job.customerName,
  currency: job.currency,
  system: job.system,
  load: async () => loadPriced(id, (await ask(priceListSchema, "GET", "/price-list")).items),
});
