import type { PriceItem } from "@wide-porch/core";
import { useMemo } from "react";
import type { FullJob } from "../api/records";
import { useRules } from "./rules";
import type { ReckoningInput } from "./useReckoning";
import { useStable, useStableParts } from "./useStable";

type PriceList = { readonly items: readonly { readonly item: PriceItem }[] };

/** What a job is reckoned from: the same object while nothing in it has changed. Undefined until all of it is there. */
export function useReckoningInput(
  full: FullJob | undefined,
  priceList: PriceList | undefined,
): ReckoningInput | undefined {
  const parts = useStableParts(full);
  const job = useStable(full?.job.job);
  const rules = useRules(full);
  return useMemo(
    () => job && rules && priceList && { job, parts, rules, priceList: priceList.items.map((each) => each.item) },
    [job, parts, rules, priceList],
  );
}
