import type { z } from "zod";
import type { Drawing } from "../drawing/drawing";
import type { Across, Piece } from "../drawing/piece";
import type { SpaceFigure } from "../drawing/spaceFigure";
import type { Rectangle } from "../geometry/rectangle";
import type { Migration } from "../migrations/migrate";
import type { Problem } from "../problems/problem";
import type { MeasuringSystem, Nanometres } from "../units";
import type { Dimension, DimensionSlot } from "./dimension";
import type { FigureSlot } from "./figure";
import type { FunctionSignature } from "./functionSignature";
import type { UnitBook } from "./masonryUnit";
import type { Allowance, Opening, SharedOpening } from "./opening";
import type { Quantity, QuantityValues, RowsOfPart, RowValues } from "./quantity";
import type { Role, RoleTone } from "./role";
import type { SectionBook } from "./section";
import type { Slot } from "./slot";
import type { AssemblyRef } from "./use";
import type { MeasureWorking } from "./working";

/** What every part needs from outside itself. */
export type PartContext = {
  readonly system: MeasuringSystem;
  readonly sections: SectionBook;
  readonly units: UnitBook;
};

/** What the plan knows about a part that the part itself does not. */
export type Surroundings = {
  /** Openings of neighbours in walls that a room shares, as this room measures them. */
  readonly sharedOpenings: readonly SharedOpening[];
  /** Of the run by which a room was joined: the wall is the neighbour's, and so is its thickness. */
  readonly sharedThickness?: { readonly runId: string; readonly thickness: Dimension };
};

export const ALONE: Surroundings = { sharedOpenings: [] };

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

/** A place on a storey's plan and a heading there, in degrees against the clock; the height is above the storey's floor. */
export type PlanPlace = {
  readonly xNm: Nanometres;
  readonly yNm: Nanometres;
  readonly turnDegrees: number;
  readonly heightNm: Nanometres;
};

/** A surface of a part that is nothing cut or laid: a slope of a roof. It lies in the part's own space. */
export type Skin = {
  readonly id: string;
  readonly role: string;
  readonly tone: RoleTone;
  readonly figure: SpaceFigure;
  /** Out of its outline, in the same axes. */
  readonly holes?: readonly SpaceFigure["outline"][];
};

/** A choice nobody confirmed, or a missing measurement, with the words to show. */
export type OpenPoint = {
  readonly path: string;
  readonly kind: "missing" | "assumed" | "refused" | "conflict";
  readonly message: string;
  /** The same without the thing it belongs to: points of many things that are alike are one to settle. */
  readonly alike?: string;
};

/** What openings in a wall of a material need. */
export type WallRules<P> = {
  /** How a wall is built by it: `in studs`. */
  readonly words: string;
  /** How much larger the hole is than its unit; nothing for what was measured as the hole. */
  readonly allowanceOf: (part: P, opening: Pick<Opening, "kind" | "measuredAs">, system: MeasuringSystem) => Allowance;
  /** Whether what it is built of goes on round a corner, so that it matters which way the house turns there. */
  readonly turnsCorners?: boolean;
  /** Least clear length at each side of a new opening. */
  readonly besideOpeningNm: (part: P, context: PartContext) => Nanometres;
};

/** What lies on the other side of a wall from the room it is seen from: rooms all along, along part of it, or nothing known. */
export type Beyond = "rooms" | "part" | "nothing";

/**
 * The same face for every kind of part: its records, figures, drawing and open points are asked through it alone. What is laid
 * out for a kind is in its folder `build`, behind the reckoning door.
 */
export type PartKind<P, D extends Drawing = Drawing> = {
  readonly kind: string;
  readonly label: string;
  /** Several of them: `Stud walls`. */
  readonly plural: string;
  /** Where its parts stand in a list: rooms first, then what is built, then what was counted. */
  readonly order: number;
  readonly schema: z.ZodType<P>;
  readonly migrations: readonly Migration[];
  readonly defaults: (id: string, name: string, context: PartContext) => P;
  readonly measures: (part: P, context: PartContext, around: Surroundings) => readonly Measure[];
  /** What formulas can say of such parts, and its values for one of them. */
  readonly quantityNames: readonly Quantity[];
  readonly quantities: (part: P, around: Surroundings) => QuantityValues;
  /** What it has several of, and their values for one part: formulas add them up. */
  readonly rows?: readonly RowsOfPart[];
  readonly rowsOf?: (part: P, around: Surroundings) => Readonly<Record<string, readonly RowValues[]>>;
  /** What its placed pieces can be, and what formulas can ask of them beyond how many and how long they are. */
  readonly roles: readonly Role[];
  readonly functions: readonly FunctionSignature[];
  /** The kind that its assemblies are written for, where that is another: walls by totals take those of drawn walls. */
  readonly assembliesFor?: string;
  /** How large its record may be, as JSON, where it can be larger than `MOST_PART_BYTES`. */
  readonly mostBytes?: number;
  /** The assembly that builds it; absent where nothing is laid out. */
  readonly slot?: Slot<P>;
  /** The part with everything on it as it is built: rough openings at their places. */
  readonly placed?: (part: P, context: PartContext) => P;
  readonly outline: (part: P) => Rectangle;
  readonly draw: (part: P, context: PartContext, around: Surroundings) => D;
  /** How a placed piece lies across the part, for what has pieces. */
  readonly depthOf?: (part: P, piece: Piece, context: PartContext) => Across;
  /** Where a part whose pieces lie in space by themselves stands on the plan of its storey, and how high above its floor. */
  readonly placeOf?: (part: P) => PlanPlace;
  /** Its surfaces, for what has any of its own. */
  readonly skin?: (part: P, context: PartContext) => readonly Skin[];
  readonly problems: (part: P, context: PartContext) => readonly Problem[];
  readonly openPoints: (part: P, context: PartContext) => readonly OpenPoint[];
  /** Whether it waits for a figure before it can be counted; by its open points where a kind does not say. */
  readonly waits?: (part: P) => boolean;
  readonly dimensions: (part: P, context: PartContext) => readonly DimensionSlot[];
  /** The part with one figure set; the figure may be one that follows from others, such as a head height. */
  readonly withDimension: (
    part: P,
    path: string,
    valueNm: Nanometres,
    typed: string,
    context: PartContext,
    /** As it is built, where that says how a figure is read: a head over a door unit. The part itself where absent. */
    settled?: P,
  ) => P;
  /** Figures that are no lengths, where it has any, and the part with one of them set. */
  readonly figures?: (part: P) => readonly FigureSlot[];
  readonly withFigure?: (part: P, path: string, value: number, typed: string) => P;
  readonly withRefused: (part: P, path: string, typed: string | undefined) => P;
  /** With a count that is no figure set; undefined for a name that is none of its counts. */
  readonly withCount?: (part: P, name: string, count: number) => P | undefined;
  /** For upright walls: what a unit leaves round it, and the room an opening needs beside it. */
  readonly wall?: WallRules<P>;
  /** A new wall on the plan as it is usually built there; `newest` says which version of an assembly there is. */
  readonly asBuilt?: (part: P, beyond: Beyond, newest: (assemblyId: string) => AssemblyRef | undefined) => P;
  /** What a wall on the plan says of what lies beyond it. */
  readonly besideWhatLies?: (part: P, beyond: Beyond) => OpenPoint | undefined;
  /** What something on the part is called, by its id: an opening, a run. */
  readonly nameOfItem?: (part: P, id: string) => string | undefined;
  /** The part with the ids of other parts that it names changed; absent where a kind names none. */
  readonly withReferences?: (part: P, renamed: (id: string) => string) => P;
};

/** How large a part's record may be, as JSON in UTF-8, unless its kind says more: names, choices, uses and texts in all. */
export const MOST_PART_BYTES = 64 * 1024;
