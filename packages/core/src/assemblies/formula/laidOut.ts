import type { PieceRole, SheetRole } from "../../parts";
import type { Nanometres } from "../../units";

/** Sheets as laid out on a part. */
export type LaidSheets = {
  /** Whole sheets that the placed pieces are cut from. */
  readonly bought: number;
  /** Area of the placed pieces, square metres. */
  readonly coverM2: number;
  /** Fixings at most so far apart round each piece's edges, and along the studs inside it. */
  readonly fixings: (edgeNm: Nanometres, fieldNm: Nanometres) => number;
};

export type SheetDimensions = { readonly widthNm: Nanometres; readonly heightNm: Nanometres };

/** What formulas can ask of the pieces that were laid out. */
export type LaidOut = {
  /** Cut lengths of the pieces of a role; empty where there are none. */
  readonly lengthsNm: (role: PieceRole) => readonly Nanometres[];
  readonly sheets: (role: SheetRole) => LaidSheets | undefined;
  /** Face of the frame, square metres: what it takes off insulation. */
  readonly frameM2: number;
  /** Undefined for a size the library lacks. */
  readonly sheetSize: (sizeId: string) => SheetDimensions | undefined;
  /** Area of a roll laid up the part in lapped courses, each as long as the part is there; undefined where nothing stands. */
  readonly lappedM2: (widthNm: Nanometres, lapNm: Nanometres) => number | undefined;
};

export const NOTHING_LAID_OUT: LaidOut = {
  lengthsNm: () => [],
  sheets: () => undefined,
  frameM2: 0,
  sheetSize: () => undefined,
  lappedM2: () => undefined,
};
