import type { Part, PartContext } from "../kinds";
import { openListOf } from "../openRange/openList";
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
    readonly context: PartContext;
  },
): QuoteDocument {
  const plan = planJob(parts);
  const { counts, buildUp } = reckoning;
  const { assumed } = openListOf({ parts, plan, context: issue.context, counts, problems: buildUp.problems });
  return quoteJob({
    ...issue,
    job,
    settings: job.quote,
    pricing: job.pricing,
    extras: job.pricing.extras,
    parts: resolveParts(parts, plan),
    assumed: assumed.length,
    counts: countsInForce(withLineChoices(counts, job), job.optionsTaken),
    options: (buildUp.options ?? []).map(({ name, taken, difference, words }) => ({
      name,
      taken,
      difference,
      paragraphs: [...words],
    })),
    buildUp,
  });
}
