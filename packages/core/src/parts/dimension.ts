import { z } from "zod";
import { LONGEST_ENTRY, type Nanometres } from "../units";

/**
 * One measured value. `valueNm` is what counts, in whole nanometres, or null while nobody has measured it.
 * `typed` is the entry as it was made; `refused` is a later entry that could not be used, kept for correction.
 */
export const dimensionSchema = z.object({
  valueNm: z.int().nullable(),
  typed: z.string().max(LONGEST_ENTRY),
  assumed: z.boolean(),
  refused: z.string().max(LONGEST_ENTRY).optional(),
});
export type Dimension = z.infer<typeof dimensionSchema>;

export const unmeasured: Dimension = { valueNm: null, typed: "", assumed: false };

export const measured = (valueNm: Nanometres, typed: string): Dimension => ({ valueNm, typed, assumed: false });

export const assumedDimension = (valueNm: Nanometres): Dimension => ({ valueNm, typed: "", assumed: true });

/** A choice of an assembly's parameter, and whether a person has confirmed it. */
export type Chosen<T> = { readonly value: T; readonly assumed: boolean };

export const chosenSchema = <T extends z.ZodType>(value: T) => z.object({ value, assumed: z.boolean() });

export const assumedChoice = <T>(value: T): Chosen<T> => ({ value, assumed: true });
export const confirmedChoice = <T>(value: T): Chosen<T> => ({ value, assumed: false });

/** A figure on a part that can be typed. `path` names it within the part: `openings.<id>.width`. */
export type DimensionSlot = {
  readonly path: string;
  readonly label: string;
  /** The thing it belongs to, for reading out: `Window 1`. Empty for the part itself. */
  readonly of: string;
  readonly dimension: Dimension;
  /** A heading to list it under with its like, instead of the thing it belongs to: `Wall thickness`. */
  readonly group?: string;
  /** Whether it goes along with other figures until somebody types it: nobody is asked for it. */
  readonly follows?: boolean;
  /** A side of a rectangle that goes along with the one opposite: the pad goes past it. */
  readonly likeOpposite?: boolean;
  /** Where it is typed, when that is on another part: a wall on the plan takes its figures from a room. */
  readonly typedOn?: { readonly partId: string; readonly path: string };
};
