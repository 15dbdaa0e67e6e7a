import type { LayoutAnswers, Value } from "../assemblies";
import type { Drawing } from "../drawing/drawing";
import type { Piece } from "../drawing/piece";
import type { MeasureWorking, WorkingSource } from "../kinds";
import type { Problem } from "../problems/problem";

/** How the count of a role came to be, from the layout itself. */
export type RoleWorking = Omit<MeasureWorking, "sentence"> & { readonly from: readonly WorkingSource[] };

/** The same thing counted in two ways: as it is laid out, and by area. */
export type ComparedCount = { readonly what: string; readonly laidOut: number; readonly byArea: number };

/** Of sheets that are laid from a start somebody can move: how many are bought, what is cut off, and ends that lie on nothing. */
export type PanelFacts = { readonly bought: number; readonly offcutM2: number; readonly looseJoints: number };

/** A part with whatever an assembly lays out on it: what its formulas stand on. */
export type Layout = {
  readonly pieces: readonly Piece[];
  /** Made when it is asked for: only the part on screen is looked at. */
  readonly draw: () => Drawing;
  readonly laid: LayoutAnswers;
  /** The timber of what is reckoned without a place, by its role; the part's stud size where a kind does not say. */
  readonly timberOf?: (role: string) => string;
  /** Choices that every such part has, by the names formulas use. */
  readonly choices: ReadonlyMap<string, Value>;
  /** From totals, not laid out. */
  readonly reckoned: boolean;
  /** Laid out to be looked at, and counted by area. */
  readonly byArea?: boolean;
  /** What sheets over it come to beside how many there are. */
  readonly panels?: PanelFacts | undefined;
  /** What comes out by either of two ways of counting, side by side. */
  readonly compared?: readonly ComparedCount[];
  /** Packs, loads and hired days are rounded up for this part alone, not with the rest of the job. */
  readonly roundsAlone?: boolean;
  /** How often the part is built. */
  readonly repeats: number;
  /** Words for the scope that are no single value: `openingWords`. */
  readonly words: Readonly<Record<string, string>>;
  readonly workingOf: (role: string, sectionId: string) => RoleWorking | undefined;
  readonly problems: readonly Problem[];
};
