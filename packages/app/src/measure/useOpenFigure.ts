import { figureSlots, kindOf, type Part } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useCallback, useRef } from "react";
import { useJob } from "../job/JobContext";

/** Opens a figure here, or on the part where it is typed. */
export function useOpenFigure(part: Part, show: (path: string) => void): (path: string) => void {
  const { jobId, context } = useJob("jobId", "context");
  const router = useRouter();
  const latest = useRef(part);
  latest.current = part;
  return useCallback(
    (path: string) => {
      const now = latest.current;
      const typedOn = figureSlots(kindOf(now), now, context).find((slot) => slot.path === path)?.typedOn;
      if (!typedOn) {
        show(path);
        return;
      }
      router.push(`/jobs/${jobId}/measure/${typedOn.partId}?figure=${encodeURIComponent(typedOn.path)}` as Href);
    },
    [router, jobId, show, context],
  );
}
