import type { Drawing, DrawnDimension } from "@wide-porch/core";

/** Where drawing coordinates fall on the canvas. */
export type Fit = {
  readonly pxPerNm: number;
  readonly x: (xNm: number) => number;
  readonly y: (yNm: number) => number;
};

const ROW_PX = 34;
const SIDE_PX = 78;
const EDGE_PX = 12;
/** A figure's width on the drawing, near enough to see whether it fits: so much of its height a character. */
const CHARACTER_WIDTH = 0.52;
const LARGEST_FIGURE_PX = 15;
const SMALLEST_FIGURE_PX = 11;
const TARGET_PX = 34;

const rowsAlong = (drawing: Drawing): number =>
  drawing.dimensions.filter((each) => each.direction === "along").reduce((most, each) => Math.max(most, each.row), 0);

const footPx = (drawing: Drawing, withDimensions: boolean): number =>
  withDimensions ? rowsAlong(drawing) * ROW_PX + EDGE_PX : EDGE_PX;

/** The height at which the drawing fills the width it has. */
export function neededHeightPx(drawing: Drawing, widthPx: number, withDimensions: boolean): number {
  const roomX = Math.max(1, widthPx - (withDimensions ? SIDE_PX : EDGE_PX) - EDGE_PX);
  const scaled = (roomX * drawing.heightNm) / Math.max(1, drawing.widthNm);
  return Math.ceil(scaled + footPx(drawing, withDimensions) + EDGE_PX);
}

export function fitDrawing(drawing: Drawing, widthPx: number, heightPx: number, withDimensions: boolean): Fit {
  const left = withDimensions ? SIDE_PX : EDGE_PX;
  const foot = footPx(drawing, withDimensions);
  const roomX = Math.max(1, widthPx - left - EDGE_PX);
  const roomY = Math.max(1, heightPx - foot - EDGE_PX);
  const pxPerNm = Math.min(roomX / Math.max(1, drawing.widthNm), roomY / Math.max(1, drawing.heightNm));
  const spareX = roomX - drawing.widthNm * pxPerNm;
  const spareY = roomY - drawing.heightNm * pxPerNm;
  const originX = left + spareX / 2;
  const originY = heightPx - foot - spareY / 2;
  return { pxPerNm, x: (xNm) => originX + xNm * pxPerNm, y: (yNm) => originY - yNm * pxPerNm };
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

export function placeDimension(dimension: DrawnDimension, drawing: Drawing, fit: Fit): PlacedDimension {
  return dimension.direction === "along" ? placeAlong(dimension, fit) : placeUp(dimension, drawing, fit);
}

/** As large as the room allows; smaller than the smallest means that there is none. */
const figureSizePx = (text: string, roomPx: number): number =>
  Math.min(LARGEST_FIGURE_PX, Math.floor(roomPx / (text.length * CHARACTER_WIDTH)));

function placeAlong(dimension: DrawnDimension, fit: Fit): PlacedDimension {
  const x1 = fit.x(dimension.fromNm);
  const x2 = fit.x(dimension.toNm);
  const y = fit.y(0) + dimension.row * ROW_PX - 8;
  const room = x2 - x1 - 4;
  const fontSizePx = figureSizePx(dimension.text, room);
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

function placeUp(dimension: DrawnDimension, _drawing: Drawing, fit: Fit): PlacedDimension {
  const y1 = fit.y(dimension.fromNm);
  const y2 = fit.y(dimension.toNm);
  const x = fit.x(0) - 14;
  const middle = (y1 + y2) / 2;
  return {
    dimension,
    line: { x1: x, y1, x2: x, y2 },
    ticks: [tickAt(x, y1), tickAt(x, y2)],
    text: { x: x - 34, y: middle + 5 },
    fits: true,
    fontSizePx: LARGEST_FIGURE_PX - 1,
    button: { left: x - 68, top: middle - 24, width: 66, height: 48 },
    name: nameOf(dimension),
  };
}
