import type { PriceItem } from "@wide-porch/core";
import { useCallback, useRef, useState } from "react";
import { ask } from "../api/client";
import { type JobRecord, jobListSchema, type PriceRecord } from "../api/records";
import { loadPriced } from "../job/loadPriced";
import type { PriceImpact } from "../worker/reckon.worker";
import { reckoner } from "../worker/reckoner";

/** A job that needs what changes; it changes with it, or once its prices are refreshed. */
export type TouchedJob = PriceImpact & {
  readonly id: string;
  readonly title: string;
  readonly currency: string;
  readonly keeps: boolean;
};

export type TouchedJobs = {
  readonly jobs: readonly TouchedJob[];
  readonly done: number;
  readonly of: number;
  /** Open jobs beyond those that are looked at. */
  readonly more: number;
  readonly failure: string | undefined;
};

const MOST_JOBS = 50;

async function touched(
  { id }: JobRecord,
  newest: readonly PriceRecord[],
  items: readonly PriceItem[],
): Promise<TouchedJob | undefined> {
  const priced = await loadPriced(id, newest);
  const { title, currency, prices } = priced.job;
  const found = await reckoner().touch(priced, items);
  return found.codes.length === 0 ? undefined : { ...found, id, title, currency, keeps: prices.at !== null };
}

/** Which open jobs other versions of items touch, and by how much: looked at one after another, in the worker. */
export function useTouchedJobs(newest: readonly PriceRecord[]) {
  const [state, setState] = useState<TouchedJobs>();
  const run = useRef(0);
  const look = useCallback(
    async (items: readonly PriceItem[]) => {
      run.current += 1;
      const own = run.current;
      const show = (next: TouchedJobs) => {
        if (run.current === own) setState(next);
      };
      let found: TouchedJobs = { jobs: [], done: 0, of: 0, more: 0, failure: undefined };
      show(found);
      try {
        const list = await ask(jobListSchema, "GET", `/jobs?perPage=${MOST_JOBS}`);
        found = { ...found, of: list.items.length, more: Math.max(0, list.total - list.items.length) };
        for (const record of list.items) {
          if (run.current !== own) return;
          const one = await touched(record, newest, items);
          found = { ...found, done: found.done + 1, jobs: one ? [...found.jobs, one] : found.jobs };
          show(found);
        }
      } catch (error) {
        show({ ...found, failure: error instanceof Error ? error.message : String(error) });
      }
    },
    [newest],
  );
  return { state, look };
}
