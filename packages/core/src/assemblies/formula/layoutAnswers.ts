import type { Nanometres } from "../../units";

export type Value = number | boolean | string;

export type SheetDimensions = { readonly widthNm: Nanometres; readonly heightNm: Nanometres };

/** What formulas can ask of the pieces that were laid out. */
export type LayoutAnswers = {
  /** Lengths of the pieces of a role, one entry a piece; empty where there are none. */
  readonly lengthsNm: (role: string) => readonly Nanometres[];
  /** How many pieces of a role there are, where that is more than their lengths: units of masonry in a run. */
  readonly countOf?: (role: string) => number;
  /** What a function of the part's kind comes to; undefined for one it does not have, no number where it has no answer. */
  readonly ask: (name: string, args: readonly Value[]) => number | undefined;
  /** Undefined for a size the library lacks. */
  readonly sheetSize: (sizeId: string) => SheetDimensions | undefined;
};

export const NOTHING_TO_ANSWER: LayoutAnswers = {
  lengthsNm: () => [],
  ask: () => undefined,
  sheetSize: () => undefined,
};
