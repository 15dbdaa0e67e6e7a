import type { Assembly } from "@wide-porch/core";
import { useCallback, useEffect, useRef, useState } from "react";
import { keptFor } from "../device/kept";
import { deviceStore } from "../device/store";

/** Each person's lie apart; from before they did, they lie without a name. */
const keyOf = (system: string, id: string): string => `drafts/${keptFor()}/assembly/${system}/${id}`;
const earlierKeyOf = (system: string, id: string): string => `drafts/assembly/${system}/${id}`;
/** A draft lies on the device until it is saved: the version it was begun from, and how it stands. */
type Kept = { readonly base: number; readonly assembly: Assembly };
const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === "object" && value !== null;
/** A half-written draft does not fit the schema yet; it only has to be one of ours. */
const isKept = (value: unknown): value is Kept =>
  isRecord(value) && typeof value.base === "number" && isRecord(value.assembly) && Array.isArray(value.assembly.rules);

export const keepDraft = (assembly: Assembly, base: number): Promise<void> =>
  deviceStore.set(keyOf(assembly.system, assembly.id), { base, assembly });

export const dropDraft = (system: string, id: string): Promise<void> =>
  deviceStore.removeMany([keyOf(system, id), earlierKeyOf(system, id)]);

async function readDraft(system: string, id: string): Promise<{ base: number; assembly: Assembly } | undefined> {
  const get = (key: string) => deviceStore.get(key).catch(() => undefined);
  const kept = (await get(keyOf(system, id))) ?? (await get(earlierKeyOf(system, id)));
  return isKept(kept) ? kept : undefined;
}

export type Draft = {
  readonly assembly: Assembly;
  /** The version it was begun from; 0 for one that was never saved. */
  readonly base: number;
  readonly changed: boolean;
  readonly change: (next: Assembly) => void;
  readonly undo: (() => void) | undefined;
  /** Let go of what was changed, or take up what was saved. */
  readonly settle: (saved: Assembly | undefined) => void;
};

/** How an assembly stands while it is written: kept on the device at each change, and taken back step by step. */
export function useDraft(system: string, id: string, stored: Assembly | undefined, ready: boolean): Draft | undefined {
  const [state, setState] = useState<{ assembly: Assembly; base: number; changed: boolean }>();
  const [past, setPast] = useState<readonly Assembly[]>([]);
  const begun = useRef(false);
  useEffect(() => {
    if (!ready || begun.current) return;
    begun.current = true;
    void readDraft(system, id).then((kept) => {
      if (kept) setState({ ...kept, changed: true });
      else if (stored) setState({ assembly: stored, base: stored.version, changed: false });
    });
  }, [ready, stored, system, id]);
  const base = state?.base ?? 0;
  const now = state?.assembly;
  const change = useCallback(
    (next: Assembly) => {
      if (now) setPast((steps) => [...steps.slice(-99), now]);
      setState({ assembly: next, base, changed: true });
      void keepDraft(next, base);
    },
    [now, base],
  );
  if (!state) return undefined;
  const before = past[past.length - 1];
  return {
    ...state,
    change,
    undo:
      before &&
      (() => {
        setPast(past.slice(0, -1));
        setState({ ...state, assembly: before });
        void keepDraft(before, base);
      }),
    settle: (saved) => {
      const next = saved ?? stored;
      setPast([]);
      void dropDraft(system, id);
      if (next) setState({ assembly: next, base: next.version, changed: false });
    },
  };
}
