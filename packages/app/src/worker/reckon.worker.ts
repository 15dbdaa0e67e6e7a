import {
  type BuildUp,
  countAndOrder,
  type Job,
  type Part,
  type PriceItem,
  type Quantities,
  reckonJob,
} from "@wide-porch/core";
import { library } from "@wide-porch/library";
import { expose } from "comlink";
import { CountCache, type SentCount } from "./countCache";

/** Pricing is null for people who do not see costs; there is then no build-up. */
export type DeviceJob = Omit<Job, "pricing"> & { readonly pricing: Job["pricing"] | null };
export type DeviceReckoning = Quantities & { readonly buildUp: BuildUp | undefined };
export type SentReckoning = Omit<DeviceReckoning, "counts"> & { readonly counts: readonly SentCount[] };

/** One cache for each job page that asks; a new page starts from nothing. */
const caches = new Map<string, CountCache>();

const reckoner = {
  /** The same code that the server runs: parts → count → order → price. Counts already sent are only named. */
  reckon(page: string, job: DeviceJob, parts: readonly Part[], priceList: readonly PriceItem[]): SentReckoning {
    const cache = caches.get(page) ?? new CountCache();
    caches.set(page, cache);
    const { pricing } = job;
    const reckoning: DeviceReckoning =
      pricing === null
        ? { ...countAndOrder(job.system, parts, priceList, library, cache.count), buildUp: undefined }
        : reckonJob({ ...job, pricing }, parts, priceList, library, cache.count);
    return { ...reckoning, counts: cache.settle(reckoning.counts) };
  },
  /** The page is gone. */
  forget(page: string): void {
    caches.delete(page);
  },
};

export type Reckoner = typeof reckoner;

expose(reckoner);
