import { marksOf } from "@wide-porch/core";
import { useMemo } from "react";
import { useJob } from "../job/JobContext";

/** The cut list's marks on one part's pieces, by their ids; nothing while nobody wants to see them. */
export function useMarks(partId: string, shown: boolean): ReadonlyMap<string, string> | undefined {
  const counts = useJob("reckoning").reckoning?.counts;
  return useMemo(() => {
    if (!shown || !counts) return undefined;
    const start = `${partId}/`;
    const own = [...marksOf(counts)].filter(([id]) => id.startsWith(start));
    return new Map(own.map(([id, mark]) => [id.slice(start.length), mark]));
  }, [counts, partId, shown]);
}
