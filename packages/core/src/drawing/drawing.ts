import type { Direction, Point } from "../geometry/point";
import type { Rectangle } from "../geometry/rectangle";
import type { Nanometres } from "../units";

export type DrawnRectangle = Rectangle & {
  readonly id: string;
  /** What it stands for: the outline, an opening, or what a placed piece is. Renderers decide its look. */
  readonly role: string;
  /** What it is coloured by, where that is not its role's: a course by its material. */
  readonly tone?: string | undefined;
  /** Units side by side with a joint between, each so long: a course of bricks. */
  readonly unitNm?: Nanometres | undefined;
  readonly jointNm?: Nanometres | undefined;
  /** Its corners in order, where it is not the rectangle: a rafter end, a plate along a slope. */
  readonly points?: readonly Point[] | undefined;
};

/** A measured line with its figure. `path` is the figure it shows, where it can be typed. */
export type DrawnDimension = {
  readonly id: string;
  readonly direction: "along" | "up";
  readonly fromNm: Nanometres;
  readonly toNm: Nanometres;
  /** Which line of figures it sits on, counted outward from the drawing; of heights 0 is the one on its right. */
  readonly row: number;
  readonly text: string;
  readonly path?: string;
};

/** A wall seen square on, for the screen, the quote and export. Origin at the lower left, y up. */
export type ElevationDrawing = {
  readonly kind: "elevation";
  readonly widthNm: Nanometres;
  readonly heightNm: Nanometres;
  readonly rectangles: readonly DrawnRectangle[];
  readonly dimensions: readonly DrawnDimension[];
};

/** What a shape on a plan stands for; renderers decide its look. */
export type PlanRole =
  | "room"
  | "wall"
  | "new-wall"
  | "walk"
  | "gap"
  | "door"
  | "window"
  | "plain"
  | "arch"
  | "footprint"
  | "slope"
  | "ridge"
  | "valley"
  | "wall-line"
  | "timber"
  | "metal"
  | "panel"
  | "board"
  | "opening"
  | "concrete"
  | "beam"
  | "bar"
  | "mesh"
  | "layer";

/** A ring, or a line when it is open. */
export type PlanShape = {
  readonly id: string;
  readonly role: PlanRole;
  readonly points: readonly Point[];
  readonly closed: boolean;
};

/**
 * A figure written along a stretch of plan. `side` says what it measures: between the faces of a room, or over the
 * outside of the house. `path` is the figure it shows, where it can be typed.
 */
export type PlanFigure = {
  readonly id: string;
  readonly from: Point;
  readonly to: Point;
  /** Away from the stretch, to where the figure is written. */
  readonly towards: Direction;
  readonly side: "inside" | "outside";
  readonly text: string;
  readonly name: string;
  readonly path?: string;
};

/** Words on a plan, with the room there is for them round their place. */
export type PlanLabel = {
  readonly id: string;
  readonly at: Point;
  readonly lines: readonly string[];
  readonly widthNm: Nanometres;
  readonly heightNm: Nanometres;
};

/** Seen from above: x to the right of the page, y up it. */
export type PlanDrawing = {
  readonly kind: "plan";
  readonly shapes: readonly PlanShape[];
  readonly figures: readonly PlanFigure[];
  readonly labels: readonly PlanLabel[];
  /** Where north is, in degrees from up the page with the clock; nothing where nobody has marked it. */
  readonly northDegrees?: number;
};

/** Words in place of a drawing, for what has no place on one. */
export type NoDrawing = { readonly kind: "none" };

export type Drawing = ElevationDrawing | PlanDrawing | NoDrawing;
