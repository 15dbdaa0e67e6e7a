/** What runs: a promise of its end, and how it is stopped. */
export type Running = { readonly gone: Promise<unknown>; readonly stop: () => Promise<void> };

export function keepRunning<R extends Running>(
  name: string,
  begin: () => Promise<R>,
  options?: {
    readonly pauses?: readonly number[];
    readonly steadyMs?: number;
    readonly say?: (words: string) => void;
    readonly wait?: (ms: number) => Promise<unknown>;
    readonly now?: () => number;
    readonly giveUp?: () => void;
  },
): Promise<{ readonly first: R; readonly watched: Promise<void>; readonly stop: () => Promise<void> }>;
