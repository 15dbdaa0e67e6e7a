import type { Rectangle } from "../geometry/rectangle";
import type { FramingRole } from "../parts";
import type { Nanometres } from "../units";

/** One placed stick of timber, seen square on. A two-ply header is two pieces in the same place. */
export type FramingPiece = Rectangle & {
  readonly id: string;
  readonly role: FramingRole;
  readonly sectionId: string;
  readonly cutLengthNm: Nanometres;
  /** The opening it frames, if any. */
  readonly openingId?: string | undefined;
};

/** One placed piece of sheet, and which bought sheet it is cut from. Openings are cut out of its outline. */
export type SheetPiece = Rectangle & {
  readonly id: string;
  readonly role: "sheet";
  readonly sheetNumber: number;
};

export type Piece = FramingPiece | SheetPiece;
