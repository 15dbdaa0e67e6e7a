import type { Part } from "../kinds";
import { planJob, resolveParts } from "../plan";
import { type QuoteDocument, quoteJob, type WrittenBy } from "../quote";
import { withLineChoices } from "./lineChanges";
import { countsInForce } from "./options";
import type { Reckoning } from "./reckoning";
import type { Job } from "./schema";

/** The quote as the job stands. */
export function draftQuote(
  job: Job,
  parts: readonly Part[],
  reckoning: Reckoning,
  issue: {
    readonly number: string;
    readonly date: string;
    readonly company: WrittenBy;
  },
): QuoteDocument {
  return quoteJob({
    ...issue,
    job,
    settings: job.quote,
    pricing: job.pricing,
    extras: job.pricing.extras,
    parts: resolveParts(parts, planJob(parts)),
    counts: countsInForce(withLineChoices(reckoning.counts, job), job.optionsTaken),
    options: (reckoning.buildUp.options ?? []).map(({ name, taken, difference, words }) => ({
      name,
      taken,
      difference,
      paragraphs: [...words],
    })),
    buildUp: reckoning.buildUp,
  });
}
