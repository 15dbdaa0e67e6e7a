export type WorkingStep = { readonly label: string; readonly value: string };

/** How a number came to be, step by step, for reading on site. */
export type MeasureWorking = {
  readonly sentence: string;
  /** The rule in words and signs, and the same with the numbers put in. */
  readonly formula: string;
  readonly withNumbers: string;
  readonly steps: readonly WorkingStep[];
};

/** A figure or choice that a working stands on: its path within the part. */
export type WorkingSource = { readonly path: string; readonly label: string };
