import type { Library } from "../assemblies";
import { countPart, type PartCount } from "../count";
import { type Order, orderJob, type PriceItem } from "../order";
import type { Part } from "../parts";
import { planJob, resolveParts } from "../plan";
import { type BuildUp, buildUpJob } from "../price";
import { type QuoteDocument, quoteJob } from "../quote";
import type { MeasuringSystem } from "../units";
import type { Job } from "./schema";

export type Reckoning = {
  readonly counts: readonly PartCount[];
  readonly order: Order;
  readonly buildUp: BuildUp;
};

export type Quantities = Pick<Reckoning, "counts" | "order">;

/** Counts one part; a caller that remembers earlier counts passes its own. */
export type PartCounter = typeof countPart;

/** Parts → count → order: all that can be said without knowing costs. */
export function countAndOrder(
  system: MeasuringSystem,
  parts: readonly Part[],
  priceList: readonly PriceItem[],
  library: Library,
  count: PartCounter = countPart,
): Quantities {
  const counts = resolveParts(parts, planJob(parts)).map((part) => count(part, system, library));
  return {
    counts,
    order: orderJob(
      counts.flatMap((count) => count.lines),
      priceList,
      system,
    ),
  };
}

/** The whole line in one call: parts → count → order → price. The app's worker and the server both come through here. */
export function reckonJob(
  job: Job,
  parts: readonly Part[],
  priceList: readonly PriceItem[],
  library: Library,
  count: PartCounter = countPart,
): Reckoning {
  const { counts, order } = countAndOrder(job.system, parts, priceList, library, count);
  return { counts, order, buildUp: buildUpJob(counts, order, job.pricing) };
}

export function draftQuote(
  job: Omit<Job, "pricing">,
  parts: readonly Part[],
  reckoning: Reckoning,
  issue: {
    readonly number: string;
    readonly date: string;
    readonly company: { readonly name: string; readonly address: string };
  },
  library: Library,
): QuoteDocument {
  return quoteJob({
    ...issue,
    job,
    settings: job.quote,
    parts: resolveParts(parts, planJob(parts)),
    counts: reckoning.counts,
    buildUp: reckoning.buildUp,
    library,
  });
}
