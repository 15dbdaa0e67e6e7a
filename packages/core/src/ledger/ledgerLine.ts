import type { Money } from "../units";
import type { CostKind } from "./costKinds";
import type { TaxClass } from "./taxClass";

/** Where a line comes from: counted, counted and then set by hand, typed in, bought beyond what parts use, or hours set for a task in all. */
export type LineSource = "counted" | "set-by-hand" | "typed" | "rest" | "task-hours";

/** What of a line is for one part. */
export type LineShare = {
  readonly partId: string;
  readonly partName: string;
  readonly storey: string;
  readonly location: string;
  readonly cost: Money;
};

/** What is worked on, in base units, and how long one of it takes; at a pace that is not the usual, in percent of the hours. */
export type Work = {
  readonly counted: number;
  readonly unit: string;
  readonly hoursPerUnit: string;
  readonly percent: number;
};

/** One cost of a job: every list, total and document is a grouping of these. */
export type LedgerLine = {
  /** The same from change to change. */
  readonly id: string;
  readonly kind: CostKind;
  readonly source: LineSource;
  readonly what: string;
  /** Of the price list; empty for labour and what is typed. */
  readonly itemCode: string;
  /** Of labour; empty for all else. */
  readonly task: string;
  readonly crew: string;
  /** The figure and the unit that it is said in. */
  readonly quantity: string;
  readonly unitName: string;
  /** For one of the unit, waste included; null where it has none, or where pieces differ. */
  readonly rate: string | null;
  readonly cost: Money;
  /** Of labour, in hours. */
  readonly hours: string;
  readonly work?: Work;
  /** Where its rate or hours were set by hand: what came out. */
  readonly before?: Pick<LedgerLine, "rate" | "quantity" | "hours" | "cost">;
  /** What it is for. Adds up to the cost; empty where it is for the whole job. */
  readonly shares: readonly LineShare[];
  /** Of the part it was counted for; empty where it is for several. */
  readonly partId: string;
  readonly partName: string;
  readonly storey: string;
  readonly location: string;
  readonly trade: string;
  readonly phase: string;
  readonly assembly: string;
  readonly rule: string;
  readonly supplier: string;
  readonly supply: "ours" | "customer" | "allowance";
  readonly option: string;
  /** What a typed line was put under; empty for none, and for what is counted. */
  readonly section: string;
  /** The count lines it stands on. */
  readonly countLineIds: readonly string[];
  /** What it is marked up by, and how it is taxed. */
  readonly markupPercent: string;
  readonly tax: TaxClass;
};

/** A line before it is known what it is marked up by. */
export type BareLine = Omit<LedgerLine, "markupPercent" | "tax">;

/** Whether a line is one part's own, so that it goes when the part goes; others are shared. */
export const isOwn = ({ source }: Pick<LedgerLine, "source">): boolean =>
  source === "counted" || source === "set-by-hand";

/** What a line that nobody counted lacks. */
export const OF_NO_PART = {
  partId: "",
  partName: "",
  storey: "",
  location: "",
  trade: "",
  phase: "",
  assembly: "",
  rule: "",
  supplier: "",
  supply: "ours",
  option: "",
  section: "",
  countLineIds: [],
  task: "",
  crew: "",
  itemCode: "",
  hours: "0",
} as const;
