import { type Library, standardProductivity } from "../assemblies";
import { countJob, type PartCount, type RememberedCounts } from "../count";
import type { Part } from "../kinds";
import { type Cutter, cutQuickly, type Order, orderJob, type PriceItem, withLongestSold } from "../order";
import { type BuildUp, buildUpJob } from "../price";
import type { Quantities, Reckoning } from "./reckoning";
import type { Job } from "./schema";

/** What a caller that remembers brings along. */
export type Remembered = RememberedCounts & { readonly cut?: Cutter };

/** What counting and ordering need of a job; pricing is not among it. */
export type JobToCount = Pick<Job, "system" | "cutting">;

/** Pricing is null for people who do not see costs; there is then no build-up. */
export type JobToPrice = JobToCount & { readonly pricing: Job["pricing"] | null };

/** The first half of the line: parts → count. */
export const countOf = (
  job: JobToCount,
  parts: readonly Part[],
  priceList: readonly PriceItem[],
  library: Library,
  remembered: Remembered = {},
): PartCount[] => countJob(parts, job.system, withLongestSold(library, priceList), remembered);

/** The second half: count → order → price, for a caller that shows the count before the rest is worked out. */
export function orderAndPrice(
  job: JobToPrice,
  counts: readonly PartCount[],
  priceList: readonly PriceItem[],
  library: Library,
  { cut = cutQuickly }: Remembered = {},
): { readonly order: Order; readonly buildUp: BuildUp | undefined } {
  const lines = counts.flatMap((each) => each.lines);
  const order = orderJob(lines, priceList, job.system, job.cutting, cut);
  const { pricing } = job;
  return { order, buildUp: pricing ? priceOf({ ...job, pricing }, { counts, order }, library) : undefined };
}

/** Parts → count → order: all that can be said without knowing costs. */
export function countAndOrder(
  job: JobToCount,
  parts: readonly Part[],
  priceList: readonly PriceItem[],
  library: Library,
  remembered: Remembered = {},
): Quantities {
  const counts = countOf(job, parts, priceList, library, remembered);
  const { order } = orderAndPrice({ ...job, pricing: null }, counts, priceList, library, remembered);
  return { counts, order };
}

/** The whole line in one call: parts → count → order → price. The app's worker and the server both come through here. */
export function reckonJob(
  job: Job,
  parts: readonly Part[],
  priceList: readonly PriceItem[],
  library: Library,
  remembered: Remembered = {},
): Reckoning {
  const quantities = countAndOrder(job, parts, priceList, library, remembered);
  return { ...quantities, buildUp: priceOf(job, quantities, library) };
}

function priceOf(job: Pick<Job, "system" | "pricing">, { counts, order }: Quantities, library: Library): BuildUp {
  const productivity = (task: string) => standardProductivity(library.standard, task);
  return buildUpJob(counts, order, job.pricing, productivity, job.system);
}
