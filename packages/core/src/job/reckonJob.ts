import { type Library, standardProductivity } from "../assemblies";
import { countPart, JobSheets } from "../count";
import { planJob, resolveParts, surroundingsOf } from "../house";
import type { Part } from "../kinds";
import { type Cutter, cutQuickly, orderJob, type PriceItem, withLongestSold } from "../order";
import { buildUpJob } from "../price";
import type { Quantities, Reckoning } from "./reckoning";
import type { Job } from "./schema";

/** Counts one part; a caller that remembers earlier counts passes its own. */
export type PartCounter = typeof countPart;

/** What a caller that remembers brings along. */
export type Remembered = { readonly count?: PartCounter; readonly cut?: Cutter; readonly sheets?: JobSheets };

/** What counting and ordering need of a job; pricing is not among it. */
export type JobToCount = Pick<Job, "system" | "cutting">;

/** Parts → count → order: all that can be said without knowing costs. */
export function countAndOrder(
  job: JobToCount,
  parts: readonly Part[],
  priceList: readonly PriceItem[],
  library: Library,
  { count = countPart, cut = cutQuickly, sheets = new JobSheets() }: Remembered = {},
): Quantities {
  const plan = planJob(parts);
  const sold = withLongestSold(library, priceList);
  const alone = resolveParts(parts, plan).map((part) => count(part, job.system, sold, surroundingsOf(plan, part.id)));
  const counts = sheets.apply(alone);
  const lines = counts.flatMap((each) => each.lines);
  return { counts, order: orderJob(lines, priceList, job.system, job.cutting, cut) };
}

/** The whole line in one call: parts → count → order → price. The app's worker and the server both come through here. */
export function reckonJob(
  job: Job,
  parts: readonly Part[],
  priceList: readonly PriceItem[],
  library: Library,
  remembered: Remembered = {},
): Reckoning {
  const { counts, order } = countAndOrder(job, parts, priceList, library, remembered);
  const productivity = (task: string) => standardProductivity(library.standard, task);
  return { counts, order, buildUp: buildUpJob(counts, order, job.pricing, productivity, job.system) };
}
