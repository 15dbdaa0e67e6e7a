import type { z } from "zod";
import type { Drawing } from "../drawing/drawing";
import type { Rectangle } from "../geometry/rectangle";
import type { Migration } from "../migrations/migrate";
import type { Problem } from "../problems/problem";
import type { MeasuringSystem, Nanometres } from "../units";
import type { Dimension } from "./dimension";
import type { SectionBook } from "./section";

/** What every part needs from outside itself. */
export type PartContext = {
  readonly system: MeasuringSystem;
  readonly sections: SectionBook;
};

/** A figure on a part that can be typed. `path` names it within the part: `openings.<id>.width`. */
export type DimensionSlot = {
  readonly path: string;
  readonly label: string;
  /** The thing it belongs to, for reading out: `Window 1`. Empty for the part itself. */
  readonly of: string;
  readonly dimension: Dimension;
};

export type Measure = { readonly name: string; readonly text: string };

/** A choice nobody confirmed, or a missing measurement, with the words to show. */
export type OpenPoint = {
  readonly path: string;
  readonly kind: "missing" | "assumed" | "refused";
  readonly message: string;
};

/** The same face for every kind of part; the engine never asks which kind it has. */
export type PartKind<P> = {
  readonly kind: string;
  readonly label: string;
  readonly schema: z.ZodType<P>;
  readonly migrations: readonly Migration[];
  readonly defaults: (id: string, name: string, context: PartContext) => P;
  readonly measures: (part: P, context: PartContext) => readonly Measure[];
  readonly outline: (part: P) => Rectangle;
  readonly draw: (part: P, context: PartContext) => Drawing;
  readonly problems: (part: P, context: PartContext) => readonly Problem[];
  readonly openPoints: (part: P, context: PartContext) => readonly OpenPoint[];
  readonly dimensions: (part: P) => readonly DimensionSlot[];
  /** The part with one figure set; the figure may be one that follows from others, such as a head height. */
  readonly withDimension: (part: P, path: string, valueNm: Nanometres, typed: string) => P;
  readonly withRefused: (part: P, path: string, typed: string | undefined) => P;
};
