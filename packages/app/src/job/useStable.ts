import type { Part } from "@wide-porch/core";
import equal from "fast-deep-equal";
import { useMemo, useRef } from "react";
import type { FullJob } from "../api/records";

/** The earlier object while its content is the same: the server's answer to a change brings nothing new to reckon. */
export function useStable<T>(value: T): T {
  const kept = useRef(value);
  if (!equal(kept.current, value)) kept.current = value;
  return kept.current;
}

/** Each part the earlier object while it is the same, so that only what changed is planned and drawn anew. */
export function useStableParts(full: Pick<FullJob, "parts"> | undefined): readonly Part[] {
  const kept = useRef<readonly Part[]>([]);
  return useMemo(() => {
    const known = new Map(kept.current.map((part) => [part.id, part]));
    const parts = (full?.parts ?? []).map(({ id, part }) => {
      const before = known.get(id);
      return before && equal(before, part) ? before : part;
    });
    const same = parts.length === kept.current.length && parts.every((part, index) => part === kept.current[index]);
    if (!same) kept.current = parts;
    return kept.current;
  }, [full?.parts]);
}
