import type { Part, PartCount, PriceItem } from "@wide-porch/core";
import { startTransition, useEffect, useRef, useState } from "react";
import { newId } from "../sync/newId";
import type { DeviceJob, DeviceReckoning, Rules } from "../worker/reckon.worker";
import { reckoner } from "../worker/reckoner";
import { withUnchanged } from "../worker/sentCounts";
import type { LatestCounts } from "./latestCounts";

export type ReckoningInput = {
  readonly job: DeviceJob;
  readonly parts: readonly Part[];
  readonly priceList: readonly PriceItem[];
  readonly rules: Rules;
};

export type ReckoningState = { readonly reckoning: DeviceReckoning | undefined; readonly failure: string | undefined };

/**
 * Reckons the job in the worker at each change. While one is under way the latest change waits, and those between are
 * passed over; the last result stays on screen until the next is there.
 */
export function useReckoning(input: ReckoningInput | undefined, latest: LatestCounts): ReckoningState {
  const [state, setState] = useState<ReckoningState>({ reckoning: undefined, failure: undefined });
  const waiting = useRef<ReckoningInput | undefined>(undefined);
  const busy = useRef(false);
  const page = useRef(newId());
  const counts = useRef<readonly PartCount[]>([]);
  const learnt = useRef<Rules | undefined>(undefined);

  useEffect(() => {
    const name = page.current;
    return () => void reckoner().forget(name);
  }, []);

  useEffect(() => {
    waiting.current = input;
    const runLatest = async (): Promise<void> => {
      const next = waiting.current;
      if (!next || busy.current) return;
      busy.current = true;
      waiting.current = undefined;
      try {
        if (learnt.current !== next.rules) {
          await reckoner().learn(page.current, next.rules);
          learnt.current = next.rules;
        }
        const sent = await reckoner().reckon(page.current, next.job, next.parts, next.priceList);
        counts.current = withUnchanged(sent.counts, counts.current);
        latest.set(counts.current);
        const reckoning = { ...sent, counts: counts.current };
        startTransition(() => setState({ reckoning, failure: undefined }));
      } catch (error) {
        const failure = error instanceof Error ? error.message : String(error);
        setState((previous) => ({ ...previous, failure }));
      } finally {
        busy.current = false;
      }
      await runLatest();
    };
    void runLatest();
  }, [input, latest]);

  return state;
}
