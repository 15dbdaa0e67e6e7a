import type { Point } from "../geometry/point";
import type { Rectangle } from "../geometry/rectangle";
import type { Nanometres } from "../units";
import type { PieceCut } from "./pieceCut";
import type { SpaceFigure } from "./spaceFigure";

/** One placed stick of timber, seen square on. A two-ply header is two pieces in the same place. */
export type FramingPiece = Rectangle & {
  readonly id: string;
  readonly role: string;
  readonly sectionId: string;
  /** To the long point, where an end is cut to a slope. */
  readonly cutLengthNm: Nanometres;
  /** The opening it frames, if any. */
  readonly openingId?: string | undefined;
  /** Its corners in order, where it is not the rectangle round it. */
  readonly points?: readonly Point[] | undefined;
  /** From level, for what lies along a slope. */
  readonly angleDegrees?: number | undefined;
  /** Turned so that its wide face shows, as backing for boards. */
  readonly flat?: boolean | undefined;
  /** How many of the same lie before it: the second ply of a header is 1. */
  readonly behind?: number | undefined;
  /** Where it lies in space by itself, for what is not in the plane of its part. */
  readonly inSpace?: SpaceFigure | undefined;
  /** Its heights at both ends, where it is tapered, or a strip whose height is its own. */
  readonly heightsNm?: { readonly lowNm: Nanometres; readonly highNm: Nanometres } | undefined;
  /** How it is cut, where that is more than a length. */
  readonly cut?: PieceCut | undefined;
};

/** One placed piece of sheet, and which bought sheet it is cut from. Openings are cut out of its outline. */
export type SheetPiece = Rectangle & {
  readonly id: string;
  readonly role: string;
  /** Its corners in order, where a sloped top cuts it. */
  readonly points?: readonly Point[] | undefined;
  /** A whole sheet as it is laid, and how small an offcut is kept. */
  readonly sheet: { readonly widthNm: Nanometres; readonly heightNm: Nanometres; readonly leastOffcutNm: Nanometres };
  /** Counted from 1 within its role. */
  readonly sheetNumber: number;
  readonly layer: number;
  /** What is sawn out of a sheet for it, where that is not its own size: another piece may be turned into the same rectangle. */
  readonly sawn?: { readonly widthNm: Nanometres; readonly heightNm: Nanometres } | "with-another" | undefined;
  /** Where it lies in space by itself, for what is not in the plane of its part. */
  readonly inSpace?: SpaceFigure | undefined;
};

/** The rectangles that are sawn out of sheets for some pieces. */
export const sawnOut = (
  pieces: readonly SheetPiece[],
): { readonly widthNm: Nanometres; readonly heightNm: Nanometres }[] =>
  pieces.flatMap((piece) => (piece.sawn === undefined ? [piece] : piece.sawn === "with-another" ? [] : [piece.sawn]));

/** A bolt, a strap, a clip where it goes. */
export type HardwarePiece = Rectangle & {
  readonly id: string;
  readonly role: string;
  /** Where it lies in space by itself, for what is not in the plane of its part. */
  readonly inSpace?: SpaceFigure | undefined;
};

/**
 * Units of masonry in one course that are alike and stand side by side: as many as `count`, each `unitNm` long with a joint
 * between. A cut one stands by itself.
 */
export type CoursePiece = Rectangle & {
  readonly id: string;
  readonly role: string;
  readonly itemId: string;
  /** What it is of, for its colour: brick, block, stone. */
  readonly tone: string;
  readonly count: number;
  readonly unitNm: Nanometres;
  readonly jointNm: Nanometres;
  /** Its corners in order, where a sloped top cuts it. */
  readonly points?: readonly Point[] | undefined;
};

/** Something of a length that is bought as it is: a lintel, a strip of damp-proof course. */
export type StripPiece = Rectangle & {
  readonly id: string;
  readonly role: string;
  readonly itemId: string;
  readonly lengthNm: Nanometres;
};

/** What lies level: poured, spread or dug out. Its rectangle is the one round it on plan. */
export type LayerPiece = Rectangle & {
  readonly id: string;
  readonly role: string;
  /** On plan, in order. */
  readonly points: readonly Point[];
  /** Of what it is counted by: on plan, or of the face that is boarded. Square metres. */
  readonly areaM2: number;
  /** Cubic metres. */
  readonly volumeM3: number;
  readonly inSpace: SpaceFigure;
};

/** How a bar is bent, by the shape codes of BS 8666 that are in use here: straight, one bend, and a closed link. */
export type BarShape = "00" | "11" | "51" | "link";

/** One reinforcing bar where it lies. */
export type BarPiece = Rectangle & {
  readonly id: string;
  readonly role: string;
  /** Its size, as bars are priced by it: `12`, `no4`. */
  readonly itemId: string;
  readonly cutLengthNm: Nanometres;
  readonly shape: BarShape;
  /** Outside measures of its legs, in the order they are bent. */
  readonly legsNm: readonly Nanometres[];
  /** What it is tied into, for its mark: a beam. */
  readonly of: string;
  /** On plan. */
  readonly points: readonly Point[];
  readonly inSpace: SpaceFigure;
};

export type Piece = FramingPiece | SheetPiece | HardwarePiece | CoursePiece | StripPiece | LayerPiece | BarPiece;

export const isFraming = (piece: Piece): piece is FramingPiece => "sectionId" in piece;
export const isCourse = (piece: Piece): piece is CoursePiece => "unitNm" in piece;
/** What a piece is of, where the layout says: a lintel of the table. */
export const itemIdOf = (piece: Piece): string | undefined => ("itemId" in piece ? piece.itemId : undefined);
export const isSheet = (piece: Piece): piece is SheetPiece => "sheetNumber" in piece;

export const isLayer = (piece: Piece): piece is LayerPiece => "volumeM3" in piece;
export const isBar = (piece: Piece): piece is BarPiece => "legsNm" in piece;

/** Across the part it is placed on: how far its near side lies from the middle, and how deep it is. */
export type Across = { readonly nearNm: Nanometres; readonly deepNm: Nanometres };
