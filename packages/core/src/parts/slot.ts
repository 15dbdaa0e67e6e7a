import type { MeasuringSystem } from "../units";
import type { AssemblyRef, Scalar } from "./use";

/** `length` values are whole nanometres; in formulas, as in every base unit, metres. */
export type ParameterKind = "length" | "number" | "yes-no" | "choice" | "section" | "unit";

/** A choice that building a part asks for, whatever its assembly says of it. */
export type SlotParameter = {
  /** The name formulas and assemblies know it by. */
  readonly name: string;
  readonly label: string;
  readonly kind: ParameterKind;
  /** An open point until confirmed; the others follow the house quietly. */
  readonly asked: boolean;
  /** Of a section: which are offered. Studs where absent. */
  readonly sections?: "all" | "boards";
  /** What it is one of, for a choice of a few. */
  readonly among?: readonly string[] | undefined;
  /** What one of the few is called. */
  readonly words?: (value: string) => string;
  /** Whether a value can stand for it, by what the trade builds. */
  readonly stands: (value: Scalar) => boolean;
  /** What it is where neither the house nor the assembly says. */
  readonly usual?: Readonly<Record<MeasuringSystem, Scalar>>;
  /** Whether it comes to anything beside the other choices; always where absent. What does not is not asked. */
  readonly applies?: ((others: ReadonlyMap<string, Scalar>) => boolean) | undefined;
  /** What it is likely to be instead of a value, where not all of a few are: the next smaller bar, and the next larger. */
  readonly likely?: (value: Scalar) => readonly Scalar[];
  /** Where a part keeps it: `parameters.spacingNm`. */
  readonly path: string;
};

/** What the assembly or the house says of a choice; what the house decided is no assumption. */
export type SlotDefault = { readonly name: string; readonly value: Scalar; readonly decided: boolean };

/** What fills a slot: the assembly, and the choices for what it has beyond the slot's own. */
export type SlotUse = { readonly assembly: AssemblyRef; readonly choices: Readonly<Record<string, Scalar>> };

/** The one assembly that builds a part: it lays it out, and its rules count what is laid out. */
export type Slot<P> = {
  readonly id: string;
  /** Over the choice of one: `What frames this wall?` */
  readonly question: string;
  /** Beneath the one chosen: `Framed by this assembly`. */
  readonly words: string;
  /** What the button that changes it is called, and what lies behind the one for more choices. */
  readonly changeWords: string;
  readonly moreWords: string;
  readonly parameters: readonly SlotParameter[];
  readonly of: (part: P) => SlotUse;
  readonly fill: (part: P, assembly: AssemblyRef) => P;
  /** With choices confirmed; each was checked against its parameter. */
  readonly choose: (part: P, choices: Readonly<Record<string, Scalar>>) => P;
  /** With what nobody confirmed as the assembly and the house have it; the same part where nothing differs. */
  readonly settle: (part: P, defaults: readonly SlotDefault[]) => P;
  /** Names of what nobody decided on a settled part. */
  readonly assumed: (part: P) => ReadonlySet<string>;
  /** Whether two states of a part are built alike. */
  readonly same: (a: P, b: P) => boolean;
  /** Values of the slot's own parameters as the part is settled, lengths in nanometres. */
  readonly values: (part: P) => ReadonlyMap<string, Scalar>;
};
