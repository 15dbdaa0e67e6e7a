import {
  guessPriceMatch,
  type MeasuringSystem,
  type PriceChange,
  type PriceMatch,
  type PriceRows,
  priceMatchSchema,
  readPrices,
} from "@wide-porch/core";
import { useEffect, useMemo, useState } from "react";
import { askOnce } from "../api/askOnce";
import { type PriceBatch, type PriceRecord, priceBatchSchema } from "../api/records";
import { deviceStore } from "../device/store";
import { todayText } from "./pricesOf";

/** Files with the same headings are read alike. */
const keptAt = (columns: readonly string[]): string => `price-columns/${columns.join("|").slice(0, 1000)}`;

export const canBeTaken = ({ status }: PriceChange): boolean =>
  status === "new" || status === "changed" || status === "asked";

/** A file against the price list: its columns, what it would change, what of that is chosen, and the taking of it. */
export function useImport(
  file: { readonly name: string; readonly table: PriceRows },
  records: readonly PriceRecord[],
  system: MeasuringSystem,
) {
  const { table } = file;
  const [match, setMatch] = useState<PriceMatch>(() => guessPriceMatch(table.columns));
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [added, setAdded] = useState<ReadonlySet<string>>(new Set());
  const [failure, setFailure] = useState<string>();
  useEffect(() => {
    let gone = false;
    const read = async () => {
      const found = priceMatchSchema.safeParse(await deviceStore.get(keptAt(table.columns)));
      if (!gone && found.success) setMatch(found.data);
    };
    void read().catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [table]);
  const changes = useMemo(
    () => readPrices(table, match, { priceList: records.map(({ item }) => item), system, today: todayText() }),
    [table, match, records, system],
  );
  // What should be looked at first is not taken by itself.
  const isChosen = ({ code, status }: PriceChange) => (status === "asked" ? added.has(code) : !left.has(code));
  const chosen = changes.filter((change) => canBeTaken(change) && isChosen(change));
  const choose = ({ code, status }: PriceChange, on: boolean) => {
    const [set, holds] = status === "asked" ? [setAdded, on] : [setLeft, !on];
    set((before) => {
      const next = new Set(before);
      if (holds) next.add(code);
      else next.delete(code);
      return next;
    });
  };
  const chooseAll = (on: boolean) => {
    const codes = changes.filter(({ status }) => status === "new" || status === "changed").map(({ code }) => code);
    setLeft(new Set(on ? [] : codes));
    if (!on) setAdded(new Set());
  };
  const take = async (): Promise<PriceBatch | undefined> => {
    setFailure(undefined);
    const revisions = new Map(records.map(({ item, revision }) => [item.code, revision]));
    const taken = chosen.flatMap(({ code, after }) =>
      after ? [{ baseRevision: revisions.get(code) ?? 0, item: after }] : [],
    );
    try {
      const batch = await askOnce(priceBatchSchema, "POST", "/price-batches", {
        fromWhere: file.name.slice(0, 200),
        changes: taken,
      });
      void deviceStore.set(keptAt(table.columns), match).catch(() => undefined);
      return batch;
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
      return undefined;
    }
  };
  return { match, setMatch, changes, chosen, isChosen, choose, chooseAll, take, failure };
}
