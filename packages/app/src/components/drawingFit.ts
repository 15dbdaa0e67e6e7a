import type { DrawnDimension, ElevationDrawing } from "@wide-porch/core";

/** Where drawing coordinates fall on the canvas. */
export type Fit = {
  readonly pxPerNm: number;
  readonly x: (xNm: number) => number;
  readonly y: (yNm: number) => number;
  /** The far side of the drawing. */
  readonly rightNm: number;
};

const ROW_PX = 34;
const SIDE_PX = 78;
const COLUMN_PX = 70;
const EDGE_PX = 12;
/** A figure's width on the drawing, near enough to see whether it fits: so much of its height a character. */
const CHARACTER_WIDTH = 0.52;
const LARGEST_FIGURE_PX = 15;
const SMALLEST_FIGURE_PX = 11;
/** A figure that follows from others is smaller than those that are typed. */
const LARGEST_DERIVED_PX = 12;
const TARGET_PX = 34;

/** All that placing a drawing on the canvas depends on. */
export type Extent = {
  readonly widthNm: number;
  readonly heightNm: number;
  readonly rows: number;
  /** Columns of heights on the left, and whether there is one on the right. */
  readonly columns?: number | undefined;
  readonly onRight?: boolean | undefined;
};

/** `rows` is 0 for a drawing shown without its figures. */
export const extentOf = ({ widthNm, heightNm, dimensions }: ElevationDrawing, withDimensions: boolean): Extent => {
  const along = withDimensions ? dimensions.filter((each) => each.direction === "along") : [];
  const up = withDimensions ? dimensions.filter((each) => each.direction === "up") : [];
  return {
    widthNm,
    heightNm,
    rows: along.reduce((most, each) => Math.max(most, each.row), 0),
    columns: up.reduce((most, each) => Math.max(most, each.row), 1),
    onRight: up.some(({ row }) => row === 0),
  };
};

const footPx = ({ rows }: Extent): number => rows * ROW_PX + EDGE_PX;
const sidePx = ({ rows, columns = 1 }: Extent): number => (rows > 0 ? SIDE_PX + (columns - 1) * COLUMN_PX : EDGE_PX);
const rightPx = ({ onRight = false }: Extent): number => (onRight ? SIDE_PX : EDGE_PX);

/** The height at which the drawing fills the width it has. */
export function neededHeightPx(extent: Extent, widthPx: number): number {
  const roomX = Math.max(1, widthPx - sidePx(extent) - rightPx(extent));
  const scaled = (roomX * extent.heightNm) / Math.max(1, extent.widthNm);
  return Math.ceil(scaled + footPx(extent) + EDGE_PX);
}

export function fitDrawing(extent: Extent, widthPx: number, heightPx: number): Fit {
  const left = sidePx(extent);
  const foot = footPx(extent);
  const roomX = Math.max(1, widthPx - left - rightPx(extent));
  const roomY = Math.max(1, heightPx - foot - EDGE_PX);
  const pxPerNm = Math.min(roomX / Math.max(1, extent.widthNm), roomY / Math.max(1, extent.heightNm));
  const originX = left + (roomX - extent.widthNm * pxPerNm) / 2;
  const originY = heightPx - foot - (roomY - extent.heightNm * pxPerNm) / 2;
  return { pxPerNm, x: (xNm) => originX + xNm * pxPerNm, y: (yNm) => originY - yNm * pxPerNm, rightNm: extent.widthNm };
}

type Segment = { readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number };

export type PlacedDimension = {
  readonly dimension: DrawnDimension;
  readonly line: Segment;
  readonly ticks: readonly Segment[];
  readonly text: { readonly x: number; readonly y: number };
  /** Whether the figure has room; where it has not, it is in the list beside the drawing. */
  readonly fits: boolean;
  readonly fontSizePx: number;
  readonly button:
    | { readonly left: number; readonly top: number; readonly width: number; readonly height: number }
    | undefined;
  readonly name: string;
};

const NAMES: Record<string, string> = {
  length: "length",
  height: "height",
  width: "rough width",
  position: "distance from left end",
};

const nameOf = (dimension: DrawnDimension): string => NAMES[dimension.path?.split(".").at(-1) ?? ""] ?? "figure";

const tickAt = (x: number, y: number): Segment => ({ x1: x - 4, y1: y + 4, x2: x + 4, y2: y - 4 });

export function placeDimension(dimension: DrawnDimension, fit: Fit): PlacedDimension {
  return dimension.direction === "along" ? placeAlong(dimension, fit) : placeUp(dimension, fit);
}

/** As large as the room allows; smaller than the smallest means that there is none. */
const figureSizePx = (text: string, roomPx: number): number =>
  Math.min(LARGEST_FIGURE_PX, Math.floor(roomPx / (text.length * CHARACTER_WIDTH)));

function placeAlong(dimension: DrawnDimension, fit: Fit): PlacedDimension {
  const x1 = fit.x(dimension.fromNm);
  const x2 = fit.x(dimension.toNm);
  const y = fit.y(0) + dimension.row * ROW_PX - 8;
  const room = x2 - x1 - 4;
  const largest = dimension.path ? LARGEST_FIGURE_PX : LARGEST_DERIVED_PX;
  const fontSizePx = Math.min(largest, figureSizePx(dimension.text, room));
  const middle = (x1 + x2) / 2;
  const fits = fontSizePx >= SMALLEST_FIGURE_PX || dimension.id === "length";
  const width = Math.max(44, Math.min(room, dimension.text.length * CHARACTER_WIDTH * fontSizePx + 8));
  return {
    dimension,
    line: { x1, y1: y, x2, y2: y },
    ticks: [tickAt(x1, y), tickAt(x2, y)],
    text: { x: middle, y: y - 7 },
    fits,
    fontSizePx: Math.max(SMALLEST_FIGURE_PX, fontSizePx),
    button: dimension.path ? { left: middle - width / 2, top: y - TARGET_PX + 6, width, height: TARGET_PX } : undefined,
    name: nameOf(dimension),
  };
}

function placeUp(dimension: DrawnDimension, fit: Fit): PlacedDimension {
  const y1 = fit.y(dimension.fromNm);
  const y2 = fit.y(dimension.toNm);
  const onRight = dimension.row === 0;
  const x = onRight ? fit.x(fit.rightNm) + 14 : fit.x(0) - 14 - (Math.max(1, dimension.row) - 1) * COLUMN_PX;
  const middle = (y1 + y2) / 2;
  return {
    dimension,
    line: { x1: x, y1, x2: x, y2 },
    ticks: [tickAt(x, y1), tickAt(x, y2)],
    text: { x: onRight ? x + 34 : x - 34, y: middle + 5 },
    fits: true,
    fontSizePx: LARGEST_FIGURE_PX - 1,
    button: { left: onRight ? x + 2 : x - 68, top: middle - 24, width: 66, height: 48 },
    name: nameOf(dimension),
  };
}
