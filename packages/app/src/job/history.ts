import type { Part } from "@wide-porch/core";
import type { JobChanges } from "../sync/command";

/** One step that can be undone: a record before and after. No part before means it was added; none after, binned. */
export type Step =
  | { readonly kind: "part"; readonly id: string; readonly before: Part | undefined; readonly after: Part | undefined }
  | { readonly kind: "job"; readonly before: JobChanges; readonly after: JobChanges };

export type History = { readonly done: readonly Step[]; readonly undone: readonly Step[] };

export const emptyHistory: History = { done: [], undone: [] };

const DEEPEST = 200;

export const record = (history: History, step: Step): History => ({
  done: [...history.done, step].slice(-DEEPEST),
  undone: [],
});

/** The step to take back, as its opposite, and the history after it. */
export function undo(history: History): { step: Step; history: History } | undefined {
  const last = history.done[history.done.length - 1];
  if (!last) return undefined;
  const rest = { done: history.done.slice(0, -1), undone: [...history.undone, last] };
  return { step: { ...last, before: last.after, after: last.before } as Step, history: rest };
}

export function redo(history: History): { step: Step; history: History } | undefined {
  const last = history.undone[history.undone.length - 1];
  if (!last) return undefined;
  return { step: last, history: { done: [...history.done, last], undone: history.undone.slice(0, -1) } };
}
