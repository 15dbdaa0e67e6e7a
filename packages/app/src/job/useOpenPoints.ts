import { type OpenList, openListOf } from "@wide-porch/core";
import { useMemo } from "react";
import { useJobLater } from "./useJobLater";

const NOTHING: Omit<OpenList, "total"> = { parts: [], assumed: [], warnings: [] };

/** All that is open in the job: at its parts, on the plan, in the order. How many is not known before the job is reckoned. */
export function useOpenPoints(): Omit<OpenList, "total"> & { readonly total: number | undefined } {
  const { reckoning, parts, plan, context } = useJobLater("reckoning", "parts", "plan", "context");
  return useMemo(() => {
    if (!reckoning) return { ...NOTHING, total: undefined };
    const problems = reckoning.buildUp?.problems ?? reckoning.order.problems ?? [];
    return openListOf({ parts, plan, context, counts: reckoning.counts, problems });
  }, [reckoning, parts, plan, context]);
}
