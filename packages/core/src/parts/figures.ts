import type { Nanometres } from "../units";
import { type Dimension, measured } from "./dimension";

/** A figure with a refused entry kept beside it, or without one. */
export function marked<F extends { readonly refused?: string | undefined }>(figure: F, refused: string | undefined): F {
  const { refused: _, ...rest } = figure;
  // Without a field that need not be there it is of the same type.
  return (refused === undefined ? rest : { ...rest, refused }) as F;
}

/** Changes one thing of a list by its id; the others stay the same objects. */
export const changeById = <T extends { readonly id: string }>(
  items: readonly T[],
  id: string,
  change: (item: T) => T,
): T[] => items.map((item) => (item.id === id ? change(item) : item));

/** `withDimension` and `withRefused` of a kind, from one function that changes the dimension at a path. */
export const figureSetters = <P>(change: (part: P, path: string, to: (now: Dimension) => Dimension) => P) => ({
  withDimension: (part: P, path: string, valueNm: Nanometres, typed: string): P =>
    change(part, path, () => measured(valueNm, typed)),
  withRefused: (part: P, path: string, typed: string | undefined): P => change(part, path, (now) => marked(now, typed)),
});
