import { startTransition, useEffect, useRef, useState } from "react";
import { shallow } from "zustand/shallow";
import { pick, useOpenJob, viewNow } from "./JobContext";
import type { JobView } from "./jobView";
import { AFTER_PAINT_MS } from "./useLater";

/**
 * The named fields of the open job as they were when there was last time to draw them: for what follows from an entry, and is
 * not the answer to it.
 */
export function useJobLater<K extends keyof JobView>(...names: readonly K[]): Pick<JobView, K> {
  const job = useOpenJob();
  const wanted = useRef(names);
  const [shown, show] = useState(() => pick(viewNow(job), names));
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const draw = () => {
      timer = undefined;
      const now = pick(viewNow(job), wanted.current);
      startTransition(() => show((before) => (shallow(before, now) ? before : now)));
    };
    const later = () => {
      timer ??= setTimeout(draw, AFTER_PAINT_MS);
    };
    // It may have changed between drawing and listening.
    later();
    const stop = job.state.subscribe(later);
    return () => {
      stop();
      clearTimeout(timer);
    };
  }, [job]);
  return shown;
}
