import { type JobChanges, mergeParts, type Part } from "@wide-porch/core";

/** One record before and after. No part before means it was added; none after, binned. */
export type Change =
  | { readonly kind: "part"; readonly id: string; readonly before: Part | undefined; readonly after: Part | undefined }
  | { readonly kind: "job"; readonly before: JobChanges; readonly after: JobChanges };

/** What is undone at once: a press that changed several records is one step. */
export type Step = { readonly changes: readonly Change[] };

export type History = { readonly done: readonly Step[]; readonly undone: readonly Step[] };

export const emptyHistory: History = { done: [], undone: [] };

export const DEEPEST = 200;

export const record = (history: History, step: Step): History => ({
  done: [...history.done, step].slice(-DEEPEST),
  undone: [],
});

const opposite = ({ changes }: Step): Step => ({
  changes: changes.map((change) => ({ ...change, before: change.after, after: change.before }) as Change).reverse(),
});

/** The step to take back, as its opposite, and the history after it. */
export function undo(history: History): { step: Step; history: History } | undefined {
  const last = history.done[history.done.length - 1];
  if (!last) return undefined;
  const rest = { done: history.done.slice(0, -1), undone: [...history.undone, last] };
  return { step: opposite(last), history: rest };
}

export function redo(history: History): { step: Step; history: History } | undefined {
  const last = history.undone[history.undone.length - 1];
  if (!last) return undefined;
  return { step: last, history: { done: [...history.done, last], undone: history.undone.slice(0, -1) } };
}

/**
 * A part's change as it is to be made on the part as it stands now: what somebody else has changed in other fields since
 * the change was first made stays as they left it.
 */
export function onto({ before, after }: Extract<Change, { kind: "part" }>, now: Part | undefined): Part | undefined {
  return now && before && after && now !== before ? mergeParts(before, after, now) : after;
}
