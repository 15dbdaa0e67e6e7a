import { type Library, standardProductivity } from "../assemblies";
import { countPart, type PartCount } from "../count";
import { type Cutter, cutQuickly, type Order, orderJob, type PriceItem } from "../order";
import { ALONE, type Part } from "../parts";
import { planJob, resolveParts, surroundingsOf } from "../plan";
import { type BuildUp, buildUpJob } from "../price";
import { type QuoteDocument, quoteJob } from "../quote";
import type { Job } from "./schema";

export type Reckoning = {
  readonly counts: readonly PartCount[];
  readonly order: Order;
  readonly buildUp: BuildUp;
};

export type Quantities = Pick<Reckoning, "counts" | "order">;

/** Counts one part; a caller that remembers earlier counts passes its own. */
export type PartCounter = typeof countPart;

/** What a caller that remembers brings along. */
export type Remembered = { readonly count?: PartCounter; readonly cut?: Cutter };

/** What counting and ordering need of a job; pricing is not among it. */
export type JobToCount = Pick<Job, "system" | "cutting">;

/** Parts → count → order: all that can be said without knowing costs. */
export function countAndOrder(
  job: JobToCount,
  parts: readonly Part[],
  priceList: readonly PriceItem[],
  library: Library,
  { count = countPart, cut = cutQuickly }: Remembered = {},
): Quantities {
  const plan = planJob(parts);
  const counts = resolveParts(parts, plan).map((part) =>
    count(part, job.system, library, part.kind === "room" ? surroundingsOf(plan, part.id) : ALONE),
  );
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
  return { counts, order, buildUp: buildUpJob(counts, order, job.pricing, productivity) };
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
): QuoteDocument {
  return quoteJob({
    ...issue,
    job,
    settings: job.quote,
    parts: resolveParts(parts, planJob(parts)),
    counts: reckoning.counts,
    buildUp: reckoning.buildUp,
  });
}
