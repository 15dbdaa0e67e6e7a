import type { z } from "zod";
import type { Drawing } from "../drawing/drawing";
import type { Rectangle } from "../geometry/rectangle";
import type { Migration } from "../migrations/migrate";
import type { Problem } from "../problems/problem";
import type { MeasuringSystem, Nanometres } from "../units";
import type { Dimension } from "./dimension";
import type { Quantity, QuantityValues } from "./quantity";
import type { SharedOpening } from "./room/openings";
import type { SectionBook } from "./section";
import type { MeasureWorking } from "./working";

/** What every part needs from outside itself. */
export type PartContext = {
  readonly system: MeasuringSystem;
  readonly sections: SectionBook;
};

/** What the plan knows about a part that the part itself does not. */
export type Surroundings = {
  /** Openings of neighbours in walls that a room shares, as this room measures them. */
  readonly sharedOpenings: readonly SharedOpening[];
  /** Of the run by which a room was joined: the wall is the neighbour's, and so is its thickness. */
  readonly sharedThickness?: { readonly runId: string; readonly thickness: Dimension };
};

export const ALONE: Surroundings = { sharedOpenings: [] };

/** A figure on a part that can be typed. `path` names it within the part: `openings.<id>.width`. */
export type DimensionSlot = {
  readonly path: string;
  readonly label: string;
  /** The thing it belongs to, for reading out: `Window 1`. Empty for the part itself. */
  readonly of: string;
  readonly dimension: Dimension;
  /** A heading to list it under with its like, instead of the thing it belongs to: `Wall thickness`. */
  readonly group?: string;
  /** Where it is typed, when that is on another part: a wall on the plan takes its figures from a room. */
  readonly typedOn?: { readonly partId: string; readonly path: string };
};

/** A measured value of a part, how it came about, and the shapes of its drawing that it came from. */
export type Measure = {
  readonly id: string;
  readonly name: string;
  /** The thing it belongs to: `Wall B`. Empty for the part itself. */
  readonly of: string;
  readonly text: string;
  readonly working: MeasureWorking;
  readonly shapeIds: readonly string[];
};

/** A choice nobody confirmed, or a missing measurement, with the words to show. */
export type OpenPoint = {
  readonly path: string;
  readonly kind: "missing" | "assumed" | "refused" | "conflict";
  readonly message: string;
  /** The same without the thing it belongs to: points of many things that are alike are one to settle. */
  readonly alike?: string;
};

/**
 * The same face for every kind of part: its records, figures, drawing and open points are asked through it alone. What is laid
 * out and counted for a kind is chosen by name in one place, `layOut` in `count/countPart.ts`.
 */
export type PartKind<P, D extends Drawing = Drawing> = {
  readonly kind: string;
  readonly label: string;
  readonly schema: z.ZodType<P>;
  readonly migrations: readonly Migration[];
  readonly defaults: (id: string, name: string, context: PartContext) => P;
  readonly measures: (part: P, context: PartContext, around: Surroundings) => readonly Measure[];
  /** What formulas can say of such parts, and its values for one of them. */
  readonly quantityNames: readonly Quantity[];
  readonly quantities: (part: P, around: Surroundings) => QuantityValues;
  readonly outline: (part: P) => Rectangle;
  readonly draw: (part: P, context: PartContext, around: Surroundings) => D;
  readonly problems: (part: P, context: PartContext) => readonly Problem[];
  readonly openPoints: (part: P, context: PartContext) => readonly OpenPoint[];
  readonly dimensions: (part: P) => readonly DimensionSlot[];
  /** The part with one figure set; the figure may be one that follows from others, such as a head height. */
  readonly withDimension: (part: P, path: string, valueNm: Nanometres, typed: string) => P;
  readonly withRefused: (part: P, path: string, typed: string | undefined) => P;
  /** The part with the ids of other parts that it names changed; absent where a kind names none. */
  readonly withReferences?: (part: P, renamed: (id: string) => string) => P;
};
