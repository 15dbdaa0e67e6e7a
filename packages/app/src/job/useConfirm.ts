import { type Part, type PartPoint, settlePart, withConfirmed } from "@wide-porch/core";
import { useCallback } from "react";
import { useOpenJob, viewNow } from "./JobContext";

/** Confirms assumed figures and choices as they stand, of one part or of many, as one step of undo. */
export function useConfirm(): (points: readonly PartPoint[]) => void {
  const job = useOpenJob();
  return useCallback(
    (points) => {
      const { parts, resolved, context, rules, saveParts } = viewNow(job);
      const byPart = new Map<string, string[]>();
      for (const { partId, point } of points) byPart.set(partId, [...(byPart.get(partId) ?? []), point.path]);
      const changed = [...byPart].flatMap(([id, paths]): Part[] => {
        const part = parts.find((each) => each.id === id);
        const onPlan = resolved.find((each) => each.id === id);
        if (!part || !onPlan) return [];
        return [withConfirmed(part, settlePart(onPlan, context.system, rules), paths, context)];
      });
      if (changed.length > 0) saveParts(changed);
    },
    [job],
  );
}
