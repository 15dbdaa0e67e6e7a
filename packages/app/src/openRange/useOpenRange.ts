import type { OpenRange, OpenRangeProgress } from "@wide-porch/core";
import { proxy } from "comlink";
import { useEffect, useState } from "react";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";
import type { DeviceReckoning } from "../worker/reckon.worker";
import { reckoner } from "../worker/reckoner";

export type OpenRangeState = {
  /** The last that was reckoned to the end; what is on its way stands beside it. */
  readonly range: OpenRange | undefined;
  readonly progress: OpenRangeProgress | undefined;
  readonly failure: string | undefined;
};

/** Long enough after an entry that the next one of a walk does not find the worker busy. */
const REST_MS = 700;
const NOTHING: OpenRangeState = { range: undefined, progress: undefined, failure: undefined };

/** The last of the job that is open, so that a screen that is come back to shows it while the next is reckoned. */
let kept: { readonly page: string; readonly reckoning: DeviceReckoning; readonly range: OpenRange } | undefined;

/** What is open about the job, in money: reckoned in the worker once entries rest, and anew after each. */
export function useOpenRange(): OpenRangeState {
  const { reckoning, page } = useJob("reckoning", "page");
  const [state, setState] = useState<OpenRangeState>(() =>
    kept?.page === page ? { ...NOTHING, range: kept.range } : NOTHING,
  );
  useEffect(() => {
    if (!reckoning || kept?.reckoning === reckoning) return undefined;
    const run = newId();
    let ended = false;
    const show = (change: Partial<OpenRangeState>) => {
      if (!ended) setState((before) => ({ ...before, ...change }));
    };
    const start = async () => {
      show({ progress: { done: 0, of: 1 }, failure: undefined });
      try {
        const tell = proxy((progress: OpenRangeProgress) => show({ progress }));
        const range = await reckoner().openRange(page, run, tell);
        if (range) kept = { page, reckoning, range };
        show({ progress: undefined, ...(range ? { range } : {}) });
      } catch (error) {
        show({ progress: undefined, failure: error instanceof Error ? error.message : String(error) });
      }
    };
    let started = false;
    const timer = setTimeout(() => {
      started = true;
      void start();
    }, REST_MS);
    return () => {
      ended = true;
      clearTimeout(timer);
      if (started) void reckoner().cancel(run);
    };
  }, [reckoning, page]);
  return state;
}
