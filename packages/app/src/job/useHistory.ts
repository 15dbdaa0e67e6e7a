import { startTransition, useCallback, useEffect, useMemo, useRef, useState } from "react";
import { deviceStore } from "../device/store";
import { emptyHistory, type History, record, redo, type Step, undo } from "./history";
import { KeptHistory } from "./keptHistory";
import { AFTER_PAINT_MS } from "./useLater";

/** A job's undo and redo, kept on the device. `apply` makes a step on the job. */
export function useHistory(owner: string, jobId: string, apply: (step: Step) => void) {
  const [history, setHistory] = useState<History>(emptyHistory);
  const latest = useRef(history);
  const kept = useMemo(() => new KeptHistory(deviceStore, `undo/${owner}/${jobId}`), [owner, jobId]);

  const keep = useCallback(
    (next: History) => {
      latest.current = next;
      // The buttons may follow a moment later; what was entered comes first.
      startTransition(() => setHistory(next));
      setTimeout(() => void kept.save(next), AFTER_PAINT_MS);
    },
    [kept],
  );

  useEffect(() => {
    let gone = false;
    void kept
      .load()
      .catch(() => emptyHistory)
      .then((before) => {
        if (gone || before.done.length + before.undone.length === 0) return;
        const now = latest.current;
        // Steps made while the earlier ones were read come after them.
        const undone = now.done.length > 0 ? [] : before.undone;
        keep({ done: [...before.done, ...now.done], undone });
      });
    return () => {
      gone = true;
    };
  }, [kept, keep]);

  const take = useCallback(
    (step: Step) => {
      apply(step);
      keep(record(latest.current, step));
    },
    [apply, keep],
  );

  /** By the latest history, not by the one last drawn: two quick presses are two steps. */
  const go = useCallback(
    (way: typeof undo) => {
      const result = way(latest.current);
      if (!result) return;
      apply(result.step);
      keep(result.history);
    },
    [apply, keep],
  );
  const goBack = useCallback(() => go(undo), [go]);
  const goForth = useCallback(() => go(redo), [go]);
  return {
    take,
    undo: history.done.length > 0 ? goBack : undefined,
    redo: history.undone.length > 0 ? goForth : undefined,
  };
}
