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
