import type { Pricing } from "@wide-porch/core";
import { useCallback } from "react";
import { useJob } from "../job/JobContext";

/** Changes how the job is priced, from how it is priced this instant: what is on screen may be a moment old. */
export function useChangePricing(): (change: (now: Pricing) => Partial<Pricing>) => void {
  const { changeJob } = useJob("changeJob");
  return useCallback(
    (change) => changeJob(({ pricing }) => (pricing ? { pricing: { ...pricing, ...change(pricing) } } : {})),
    [changeJob],
  );
}
