import type { FormulaType } from "../units";

/** What a function asks of its arguments. `role…` is one or more roles in quotes; `same` is any quantity, all alike. */
export type Takes =
  | "count"
  | "length"
  | "roles"
  | "sheet-role"
  | "sheet-size"
  | "leaf"
  | "rows"
  | "each"
  | "table"
  | "column"
  | "same"
  | "number";

/** A call as a working tells it: the roles it names in words, and its arguments as they were written. */
export type ToldCall = { readonly roles: string; readonly argument: (index: number) => string };

/** A function that formulas can use: one entry for the check, the working's words and the editor's list. */
export type FunctionSignature = {
  readonly name: string;
  readonly takes: readonly Takes[];
  /** `same` is the type of the arguments. */
  readonly gives: FormulaType | "same" | "root" | "each" | "column";
  readonly says: string;
  /** As the editor's list offers it. */
  readonly example: string;
  /** What it gives in a builder's words, for what tells of the layout: in a working it stands as its value alone. */
  readonly told?: (call: ToldCall) => string;
  /** The roles whose pieces a line lights, by the texts in its brackets, where those are no roles themselves. */
  readonly lights?: (texts: readonly string[]) => readonly string[];
};
