import type { Rectangle } from "../geometry/rectangle";
import type { Nanometres } from "../units";

/** What a shape stands for; renderers decide its look. */
export type DrawnRole =
  | "outline"
  | "opening"
  | "bottom-plate"
  | "top-plate"
  | "cap-plate"
  | "flat-plate"
  | "stud"
  | "king"
  | "jack"
  | "cripple-above"
  | "cripple-below"
  | "header"
  | "sill"
  | "sheet";

export type DrawnRectangle = Rectangle & {
  readonly id: string;
  readonly role: DrawnRole;
};

/** A measured line with its figure. `path` is the figure it shows, where it can be typed. */
export type DrawnDimension = {
  readonly id: string;
  readonly direction: "along" | "up";
  readonly fromNm: Nanometres;
  readonly toNm: Nanometres;
  /** Which line of figures it sits on, counted outward from the drawing. */
  readonly row: number;
  readonly text: string;
  readonly path?: string;
};

/** One drawing model for the screen, the quote and export. Origin at the lower left, y up. */
export type Drawing = {
  readonly widthNm: Nanometres;
  readonly heightNm: Nanometres;
  readonly rectangles: readonly DrawnRectangle[];
  readonly dimensions: readonly DrawnDimension[];
};
