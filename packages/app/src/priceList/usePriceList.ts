import type { PriceItem } from "@wide-porch/core";
import { useCallback } from "react";
import useSWR from "swr";
import { askOnce } from "../api/askOnce";
import { ApiProblem, ask } from "../api/client";
import { type PriceRecord, priceListSchema, priceRecordSchema } from "../api/records";

export const PRICE_LIST = "/price-list";

/** The company's price list, and how its items are made and changed. Each answers why it could not be done. */
export function usePriceList() {
  const list = useSWR(PRICE_LIST, (path: string) => ask(priceListSchema, "GET", path));
  const { mutate } = list;
  const put = useCallback(
    (saved: PriceRecord) =>
      mutate(
        (before) =>
          before && { ...before, items: [...before.items.filter(({ item }) => item.code !== saved.item.code), saved] },
        { revalidate: false },
      ),
    [mutate],
  );
  const attempt = useCallback(
    async (work: () => Promise<PriceRecord>): Promise<string | undefined> => {
      try {
        await put(await work());
        return undefined;
      } catch (error) {
        if (!(error instanceof ApiProblem) || error.status !== 409)
          return error instanceof Error ? error.message : String(error);
        await mutate();
        return error.message;
      }
    },
    [put, mutate],
  );
  const change = useCallback(
    async (record: PriceRecord, item: PriceItem) => {
      const path = `${PRICE_LIST}/${encodeURIComponent(item.code)}`;
      const failure = await attempt(() =>
        askOnce(priceRecordSchema, "PUT", path, { baseRevision: record.revision, item }),
      );
      return failure?.includes("meantime")
        ? "Someone else changed this price. It is shown now; type yours again."
        : failure;
    },
    [attempt],
  );
  const make = useCallback(
    (item: PriceItem) => attempt(() => askOnce(priceRecordSchema, "POST", PRICE_LIST, { item })),
    [attempt],
  );
  return { items: list.data?.items, error: list.error, reload: mutate, change, make };
}

export type PriceList = ReturnType<typeof usePriceList>;
