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

/** Pricing is null for people who do not see costs; there is then no build-up. */
export type DeviceJob = Omit<Job, "pricing"> & { readonly pricing: Job["pricing"] | null };
export type DeviceReckoning = Quantities & { readonly buildUp: BuildUp | undefined };

const reckoner = {
  /** The same code that the server runs: parts → count → order → price. */
  reckon(job: DeviceJob, parts: readonly Part[], priceList: readonly PriceItem[]): DeviceReckoning {
    const { pricing } = job;
    if (pricing === null) return { ...countAndOrder(job.system, parts, priceList, library), buildUp: undefined };
    return reckonJob({ ...job, pricing }, parts, priceList, library);
  },
};

export type Reckoner = typeof reckoner;

expose(reckoner);
