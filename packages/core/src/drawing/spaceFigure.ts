/** A point or a direction in space, in metres: x to the right and z down the page, y up. */
export type Space = readonly [x: number, y: number, z: number];

/** Where a flat figure lies in space: its origin, and its two axes, which are square to each other and one metre long. */
export type Frame = { readonly origin: Space; readonly along: Space; readonly up: Space };

/** A flat outline with a depth in a frame of its part, whose origin is the part's own. Metres. */
export type SpaceFigure = {
  readonly frame: Frame;
  readonly outline: readonly (readonly [along: number, up: number])[];
  /** Square to the outline: how far its near side lies from the frame, and how deep it is. */
  readonly nearM: number;
  readonly depthM: number;
};
