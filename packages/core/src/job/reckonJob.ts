import { type Library, standardProductivity } from "../assemblies";
import { countJob, type PartCount, type RememberedCounts } from "../count";
import type { Part } from "../kinds";
import { type Cutter, cutQuickly, type Order, orderJob, type PriceItem, withLongestSold } from "../order";
import { type BuildUp, buildUpJob } from "../price";
import { choiceProblems, withLineChoices } from "./lineChanges";
import { countsInForce, pricedOptions, tooManyOptions } from "./options";
import type { PricedJob, Quantities, Reckoning } from "./reckoning";
import type { Job } from "./schema";

/** What a caller that remembers brings along. */
export type Remembered = RememberedCounts & { readonly cut?: Cutter };

/** What counting and ordering need of a job; pricing is not among it. */
export type JobToCount = Pick<Job, "system" | "cutting" | "optionsTaken" | "lineChanges" | "swaps" | "supplies">;

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
  counted: readonly PartCount[],
  priceList: readonly PriceItem[],
  library: Library,
  { cut = cutQuickly }: Remembered = {},
): { readonly order: Order; readonly buildUp: PricedJob | undefined } {
  const counts = withLineChoices(counted, job);
  const orderWith = (taken: readonly string[]): Quantities => {
    const inForce = countsInForce(counts, taken);
    const lines = inForce.flatMap((each) => each.lines);
    return { counts: inForce, order: orderJob(lines, priceList, job.system, job.cutting, cut) };
  };
  const standing = orderWith(job.optionsTaken);
  const { pricing } = job;
  if (!pricing) return { order: standing.order, buildUp: undefined };
  const priced = { ...job, pricing };
  const buildUp = priceOf(priced, standing, priceList, library);
  // A typed total is what it is whatever is taken: options are priced by what they come to before it.
  const untyped = { ...job, pricing: { ...pricing, adjust: null } };
  const sameAsNow = (taken: readonly string[]) =>
    taken.length === job.optionsTaken.length && taken.every((each) => job.optionsTaken.includes(each));
  const totalWith = (taken: readonly string[]) =>
    sameAsNow(taken) && pricing.adjust === null
      ? buildUp.total
      : priceOf(untyped, orderWith(taken), priceList, library).total;
  const options = pricedOptions(counts, job.optionsTaken, totalWith);
  const problems = [...buildUp.problems, ...choiceProblems(counted, job), ...tooManyOptions(counts)];
  return {
    order: standing.order,
    buildUp: options.length === 0 ? { ...buildUp, problems } : { ...buildUp, options, problems },
  };
}

/** Count → order → price of what is in the job as it is, without pricing its options: for a caller that wants many prices. */
export function priceAlone(
  job: JobToCount & Pick<Job, "pricing">,
  counted: readonly PartCount[],
  priceList: readonly PriceItem[],
  library: Library,
  { cut = cutQuickly }: Remembered = {},
): BuildUp {
  const counts = countsInForce(withLineChoices(counted, job), job.optionsTaken);
  const lines = counts.flatMap((each) => each.lines);
  const order = orderJob(lines, priceList, job.system, job.cutting, cut);
  return priceOf(job, { counts, order }, priceList, library);
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
  const counts = countOf(job, parts, priceList, library, remembered);
  const { order, buildUp } = orderAndPrice(job, counts, priceList, library, remembered);
  if (!buildUp) throw new Error("reckonJob: a job with prices came out without a price");
  return { counts, order, buildUp };
}

function priceOf(
  { pricing, system }: Pick<Job, "system" | "pricing">,
  { counts, order }: Quantities,
  priceList: readonly PriceItem[],
  library: Library,
): BuildUp {
  const productivity = (task: string) => standardProductivity(library.standard, task);
  return buildUpJob({ counts, order, priceList, pricing, productivity, system });
}
