import type { Part } from "../kinds";

/** What a thing to settle may be, and what that makes of the parts. */
export type Answer = { readonly words: string; readonly change: (parts: readonly Part[]) => readonly Part[] };
