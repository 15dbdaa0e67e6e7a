import type { Polygon } from "../../../geometry";

/** A plane over a stretch of the plan: millimetres over the roof's own plate, `cMm + gradX · x + gradY · y` with places in millimetres. */
export type PlaneOver = {
  readonly ring: Polygon;
  readonly gradX: number;
  readonly gradY: number;
  readonly cMm: number;
};

/** What else of the house a roof may meet, on that roof's own plan. */
export type Neighbour = {
  readonly id: string;
  readonly name: string;
  readonly what: "slopes" | "walls";
  /** Where both lie in one plane, it is this roof that ends: one of the two has to. */
  readonly comesFirst: boolean;
  /** The line of its walls: a roof that lies lower within it is cut off there. */
  readonly outline: Polygon;
  /** Its top over that outline: slopes and flats of a roof, the ceiling of a room of a storey above. */
  readonly tops: readonly PlaneOver[];
  /** What hangs over its walls, by itself: where that of both meets at a corner, they end in each other. */
  readonly overhangs: readonly PlaneOver[];
  /** Where it lies over this roof: its slopes as they are once cut, running on into this roof where its edges say so. */
  readonly over: readonly PlaneOver[];
};

/** By edge. */
export type RunsOn = Readonly<Record<string, number>>;

/** What a roof meets; the same object while nothing of it changes. */
export type Meets = {
  readonly neighbours: readonly Neighbour[];
  /** How far each edge that runs into another roof goes on for it, level; one that is not here runs into none. */
  readonly runsOnMm: RunsOn;
};
