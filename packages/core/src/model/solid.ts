import type { Frame, Space } from "../drawing/spaceFigure";

export type { Frame, Space };

type Outline = readonly (readonly [along: number, up: number])[];

/** A flat outline with a depth, in a frame in space: a stud, a slab and a course of bricks are the same thing. Metres. */
export type Solid = {
  /** The part's id and the piece's. */
  readonly id: string;
  readonly partId: string;
  readonly role: string;
  /** What is shown and hidden together. */
  readonly group: string;
  /** What it is coloured by, where that is not its role's. */
  readonly tone?: string | undefined;
  readonly storey: string;
  readonly frame: Frame;
  readonly outline: Outline;
  readonly holes: readonly Outline[];
  /** Square to the outline: how far its near side lies from the frame, and how deep it is. */
  readonly nearM: number;
  readonly depthM: number;
};

/** Which way the depth of a frame goes: along × up. */
export const depthOf = ({ along: [ax, ay, az], up: [ux, uy, uz] }: Frame): Space => [
  ay * uz - az * uy,
  az * ux - ax * uz,
  ax * uy - ay * ux,
];

const areaOf = (outline: Outline): number =>
  Math.abs(
    outline.reduce((sum, [x, y], index) => {
      const [nextX, nextY] = outline[(index + 1) % outline.length] ?? [0, 0];
      return sum + (x * nextY - nextX * y) / 2;
    }, 0),
  );

/** Cubic metres. */
export const volumeOf = ({ outline, holes, depthM }: Solid): number =>
  (areaOf(outline) - holes.reduce((sum, hole) => sum + areaOf(hole), 0)) * depthM;
