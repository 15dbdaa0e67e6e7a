export type QuantityKind = "count" | "length" | "area" | "volume" | "yes-no" | "choice";

/** A measured value that formulas can use, as a kind of part describes it. */
export type Quantity = {
  /** As formulas write it: `netArea`. */
  readonly name: string;
  readonly label: string;
  readonly kind: QuantityKind;
  /** The figure it comes from, where it is one figure. */
  readonly path?: string;
};

/** Values in base units: metres, square metres, cubic metres. A name is missing while nobody has measured it. */
export type QuantityValues = Readonly<Record<string, number>>;

const of =
  (kind: QuantityKind) =>
  (name: string, label: string, path?: string): Quantity => ({ name, label, kind, ...(path ? { path } : {}) });

export const lengthQuantity = of("length");
export const areaQuantity = of("area");
export const volumeQuantity = of("volume");
export const countQuantity = of("count");
export const yesNoQuantity = of("yes-no");

/** Something that a part has several of, each with values of its own: the openings of a wall. */
export type RowsOfPart = { readonly name: string; readonly label: string; readonly columns: readonly Quantity[] };
export type RowValues = Readonly<Record<string, number | boolean | string>>;
export const choiceQuantity = of("choice");
