import type { BarPiece, BarShape } from "../../../drawing/piece";
import { along, boundsOf, type Direction, leftOf, type Point } from "../../../geometry";
import { barSize } from "../../../ground";
import { type Nanometres, toMetres } from "../../../units";

type Bar = Pick<BarPiece, "id" | "role" | "itemId" | "cutLengthNm" | "legsNm" | "of"> & { readonly shape: BarShape };

const rectangleRound = (points: readonly Point[]) => {
  const bounds = boundsOf(points);
  const { min, max } = bounds ?? { min: { xNm: 0, yNm: 0 }, max: { xNm: 0, yNm: 0 } };
  return { ...min, widthNm: max.xNm - min.xNm, heightNm: max.yNm - min.yNm };
};

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
    ...rectangleRound([from, to]),
    points: [from, to],
    inSpace: {
      frame: {
        origin: [toMetres(from.xNm), toMetres(heightNm), -toMetres(from.yNm)],
        along: [heading.x, 0, -heading.y],
        up: [0, 1, 0],
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

/** A closed link seen as a thin plate across its beam: its middle on plan, the beam's heading, its legs, and the height of its foot. */
export function linkPiece(bar: Bar, middle: Point, beamHeading: Direction, footNm: Nanometres): BarPiece {
  const [wideNm = 0, highNm = 0] = bar.legsNm;
  const across = leftOf(beamHeading);
  const from = along(middle, across, -wideNm / 2);
  const to = along(middle, across, wideNm / 2);
  const { diameterNm } = barSize(bar.itemId);
  const d = toMetres(diameterNm);
  return {
    ...bar,
    ...rectangleRound([from, to]),
    points: [from, to],
    inSpace: {
      frame: {
        origin: [toMetres(from.xNm), toMetres(footNm), -toMetres(from.yNm)],
        along: [across.x, 0, -across.y],
        up: [0, 1, 0],
      },
      outline: linkOutline(toMetres(wideNm), toMetres(highNm), d),
      nearM: -d / 2,
      depthM: d,
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
