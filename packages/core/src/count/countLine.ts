import type { BUYING } from "../assemblies";
import type { AssemblyRef, MeasureWorking, WorkingSource } from "../kinds";
import type { Nanometres } from "../units";

/** How a quantity came to be, for reading on site. */
export type Working = MeasureWorking & {
  /** Figures and choices of the part that it stands on: paths within the part. */
  readonly from: readonly WorkingSource[];
  /** A published source, or "common practice". */
  readonly source?: string | undefined;
};

/** Laid out: as many as are drawn. Reckoned: from totals. Formula: worked out from measured values. */
export type Basis = "laid-out" | "reckoned" | "formula";

/** Supplied by the customer; or not chosen yet, with an amount allowed for each as it is counted in the job's system. */
export type LineSupply = { readonly by: "customer" } | { readonly by: "allowance"; readonly rate: string };

/** An option that the customer can take, and what this line does in it. */
export type LineOption = { readonly name: string; readonly words: string };

/** A quantity of one item for one part. `quantity` is what is fixed; what is bought is the order's business. */
export type CountLine = {
  /** Unique in the job: the part's id and the key. */
  readonly id: string;
  /** Within the part; stays the same from count to count. */
  readonly key: string;
  readonly partId: string;
  readonly partName: string;
  readonly storey: string;
  readonly location: string;
  readonly assembly: AssemblyRef & { readonly name: string };
  readonly rule: string;
  readonly trade: string;
  readonly phase: string;
  readonly description: string;
  /** Empty for hours. */
  readonly itemCode: string;
  /** In base units where it is measured: metres, square metres. A count for all else. */
  readonly quantity: number;
  /** As reckoned; differs from `quantity` where a person set it. */
  readonly computed: number;
  /** Why a person set it. */
  readonly byHand?: string | undefined;
  /** What stands out about it, in words: a wall of other studs than the house's. */
  readonly note?: string | undefined;
  /** What keeps it from being counted, in words; the quantity is then 0. */
  readonly missing?: string | undefined;
  readonly unit: string;
  readonly basis: Basis;
  readonly buying: (typeof BUYING)[number];
  readonly wastePercent?: number | undefined;
  /** For what is cut from lengths: one entry a piece, in the order of `pieceIds`. */
  readonly cutLengthsNm: readonly Nanometres[];
  /** The placed pieces it counts; empty for what is not drawn. */
  readonly pieceIds: readonly string[];
  readonly labourTask?: string | undefined;
  /** Who supplies it, where it is not bought from the price list: it is counted and fitted all the same. */
  readonly supply?: LineSupply | undefined;
  /** The option it belongs to, and what the quote says of it there. */
  readonly option?: LineOption | undefined;
  /** Its share of what is ordered, where cutting over the whole job spares some. */
  readonly ordered?: number | undefined;
  /** What it is bought in is rounded up for its part alone. */
  readonly roundsAlone?: boolean | undefined;
  /** Roles of the sheets that it counts whole: they can be cut from the same sheets as those of other parts. */
  readonly sheetRoles?: readonly string[] | undefined;
  /** Written when it is first read: most lines are never opened. */
  readonly working: Working;
};

/** Whether a line is in the job: it belongs to no option, or to one that was taken. */
export const isTaken = ({ option }: Pick<CountLine, "option">, taken: ReadonlySet<string>): boolean =>
  option === undefined || taken.has(option.name);

/** Whether a line counts something; others say why they cannot. */
export const isCounted = (line: CountLine): boolean => line.missing === undefined;
