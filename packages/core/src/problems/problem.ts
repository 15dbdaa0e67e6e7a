/**
 * Something wrong with what a person typed, told in a sentence they can act on.
 * Core steps return problems beside what they could still compute; they do not throw for input.
 */
export type Problem = {
  /** Stable, for programs: `opening-too-wide`. */
  readonly code: string;
  /** Where in the record: `openings.0.width`. Empty for the record as a whole. */
  readonly path: string;
  /** For people. */
  readonly message: string;
};

export const problem = (code: string, path: string, message: string): Problem => ({ code, path, message });

/** A parse at the edge: a value, or the reason there is none. */
export type Parsed<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

export const parsed = <T>(value: T): Parsed<T> => ({ ok: true, value });

export const refused = (code: string, message: string, path = ""): Parsed<never> => ({
  ok: false,
  problem: problem(code, path, message),
});
