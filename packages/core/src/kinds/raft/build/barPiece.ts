import type { BarPiece, BarShape } from "../../../drawing/piece";
import type { Space, SpaceFigure } from "../../../drawing/spaceFigure";
import { along, type Direction, leftOf, type Point } from "../../../geometry";
import { barSize } from "../../../ground";
import { type Nanometres, toMetres } from "../../../units";

const UP: Space = [0, 1, 0];

type Bar = Pick<BarPiece, "id" | "role" | "itemId" | "cutLengthNm" | "legsNm" | "of"> & { readonly shape: BarShape };

/** The rectangle round two places. There are hundreds of bars in a raft: it is not worked out by way of any outline. */
const rectangleRound = (a: Point, b: Point) => ({
  xNm: Math.min(a.xNm, b.xNm),
  yNm: Math.min(a.yNm, b.yNm),
  widthNm: Math.abs(a.xNm - b.xNm),
  heightNm: Math.abs(a.yNm - b.yNm),
});

/** A bar that lies level: along a heading from a place, so long, its middle at a height above the ground. */
export function levelBar(
  bar: Bar,
  from: Point,
  heading: Direction,
  lengthNm: Nanometres,
  heightNm: Nanometres,
): BarPiece {
  const { diameterNm } = barSize(bar.itemId);
  const to = along(from, heading, lengthNm);
  const halfM = toMetres(diameterNm) / 2;
  return {
    ...bar,
    ...rectangleRound(from, to),
    points: [from, to],
    inSpace: {
      frame: {
        origin: [toMetres(from.xNm), toMetres(heightNm), -toMetres(from.yNm)],
        along: [heading.x, 0, -heading.y],
        up: UP,
      },
      outline: [
        [0, -halfM],
        [toMetres(lengthNm), -halfM],
        [toMetres(lengthNm), halfM],
        [0, halfM],
      ],
      nearM: -halfM,
      depthM: 2 * halfM,
    },
  };
}

/** What all links of one beam are alike. */
export type LinkShape3D = Pick<SpaceFigure, "outline" | "nearM" | "depthM">;

/** A link seen square on, by its legs and its size of bar. */
export function linkShape(barId: string, [wideNm, highNm]: readonly [Nanometres, Nanometres]): LinkShape3D {
  const d = toMetres(barSize(barId).diameterNm);
  return { outline: linkOutline(toMetres(wideNm), toMetres(highNm), d), nearM: -d / 2, depthM: d };
}

/** A closed link across its beam: its middle on plan, the beam's heading, and the height of its foot. */
export function linkPiece(
  bar: Bar,
  shape: LinkShape3D,
  middle: Point,
  beamHeading: Direction,
  footNm: Nanometres,
): BarPiece {
  const [wideNm = 0] = bar.legsNm;
  const across = leftOf(beamHeading);
  const from = along(middle, across, -wideNm / 2);
  const to = along(middle, across, wideNm / 2);
  return {
    ...bar,
    ...rectangleRound(from, to),
    points: [from, to],
    inSpace: {
      ...shape,
      frame: {
        origin: [toMetres(from.xNm), toMetres(footNm), -toMetres(from.yNm)],
        along: [across.x, 0, -across.y],
        up: UP,
      },
    },
  };
}

/** Round a link and back within it: a ring with no hole, cut through at one corner. */
function linkOutline(wide: number, high: number, d: number): (readonly [number, number])[] {
  const outer = [
    [0, 0],
    [wide, 0],
    [wide, high],
    [0, high],
    [0, 0],
  ] as const;
  const inner = [
    [d, d],
    [d, high - d],
    [wide - d, high - d],
    [wide - d, d],
    [d, d],
  ] as const;
  return [...outer, ...inner];
}

/** A bar that stands: at a place on plan, from a height, so high. */
export function uprightBar(bar: Bar, { xNm, yNm }: Point, footNm: Nanometres, highNm: Nanometres): BarPiece {
  const { diameterNm } = barSize(bar.itemId);
  const half = toMetres(diameterNm) / 2;
  const at = { xNm: Math.round(xNm), yNm: Math.round(yNm) };
  return {
    ...bar,
    ...at,
    widthNm: diameterNm,
    heightNm: diameterNm,
    points: [at, { xNm: at.xNm + diameterNm, yNm: at.yNm }],
    inSpace: {
      frame: { origin: [toMetres(xNm), toMetres(footNm), -toMetres(yNm)], along: [1, 0, 0], up: [0, 1, 0] },
      outline: [
        [-half, 0],
        [half, 0],
        [half, toMetres(highNm)],
        [-half, toMetres(highNm)],
      ],
      nearM: -half,
      depthM: 2 * half,
    },
  };
}
