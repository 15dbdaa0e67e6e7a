import { type Comparison, type LedgerLine, MOST_SIDE_BY_SIDE } from "@wide-porch/core";
import { useCallback, useState } from "react";
import { useOpenJob, viewNow } from "../job/JobContext";
import type { PricedBy } from "../worker/reckon.worker";
import { reckoner } from "../worker/reckoner";
import type { Candidate } from "./estimates";

/** An estimate beside the open job: on its way, there, or not to be had. */
export type Column = {
  readonly candidate: Candidate;
  readonly ledger?: readonly LedgerLine[];
  readonly total?: string;
  readonly priced?: PricedBy;
  readonly why?: Comparison;
  readonly failure?: string;
};

const said = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** Estimates put beside the open job, and why each comes to more or less. */
export function useSideBySide() {
  const open = useOpenJob();
  const [columns, setColumns] = useState<readonly Column[]>([]);
  const put = useCallback((id: string, change: Partial<Column>) => {
    setColumns((before) => before.map((each) => (each.candidate.id === id ? { ...each, ...change } : each)));
  }, []);
  const add = useCallback(
    async (candidate: Candidate) => {
      setColumns((before) =>
        before.length + 1 >= MOST_SIDE_BY_SIDE || before.some((each) => each.candidate.id === candidate.id)
          ? before
          : [...before, { candidate }],
      );
      try {
        const priced = await candidate.load();
        const { ledger, total } = await reckoner().priceOf(priced);
        put(candidate.id, { priced, ledger, total });
      } catch (error) {
        put(candidate.id, { failure: said(error) });
      }
    },
    [put],
  );
  const takeOut = useCallback((id: string) => {
    setColumns((before) => before.filter((each) => each.candidate.id !== id));
  }, []);
  const explain = useCallback(
    async ({ candidate, priced }: Column) => {
      const { record, parts, priceList, rules } = viewNow(open);
      const { pricing } = record.job;
      if (!priced || pricing === null) return;
      try {
        const why = await reckoner().compare(priced, { job: { ...record.job, pricing }, parts, priceList, ...rules });
        put(candidate.id, { why });
      } catch (error) {
        put(candidate.id, { failure: said(error) });
      }
    },
    [open, put],
  );
  return { columns, add, takeOut, explain };
}
