import type { LedgerLine } from "@wide-porch/core";
import { useCallback, useEffect, useMemo, useState } from "react";
import { deviceStore } from "../device/store";
import { allSeen, goneSince, type LookedAt, lookedAtSchema, marksOf, seenOf } from "./lookedAt";

const keyOf = (jobId: string): string => `looked-at/${jobId}`;

/** What was looked at on this device, from the first time the worksheet is opened: what changes after that is marked until somebody looks. */
export function useLookedAt(jobId: string, ledger: readonly LedgerLine[] | undefined) {
  const [looked, setLooked] = useState<LookedAt>();
  const keep = useCallback(
    (next: LookedAt) => {
      setLooked(next);
      // Without a store of its own the page remembers for as long as it is open.
      void deviceStore.set(keyOf(jobId), next).catch(() => undefined);
    },
    [jobId],
  );
  useEffect(() => {
    if (looked || !ledger) return undefined;
    let gone = false;
    const read = async () => {
      const found = lookedAtSchema.safeParse(await deviceStore.get(keyOf(jobId)).catch(() => undefined));
      if (gone) return;
      if (found.success) setLooked(found.data);
      else keep(allSeen(ledger));
    };
    void read();
    return () => {
      gone = true;
    };
  }, [looked, ledger, jobId, keep]);
  const marks = useMemo(() => marksOf(looked && ledger ? ledger : [], looked ?? {}), [ledger, looked]);
  const gone = useMemo(() => (looked && ledger ? goneSince(ledger, looked) : []), [ledger, looked]);
  const lookAt = useCallback(
    (line: LedgerLine) => {
      if (looked) keep({ ...looked, [line.id]: seenOf(line) });
    },
    [looked, keep],
  );
  const lookAtAll = useCallback(() => {
    if (ledger) keep(allSeen(ledger));
  }, [ledger, keep]);
  return { marks, gone, lookAt, lookAtAll };
}
