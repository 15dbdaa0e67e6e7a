import type { LayerPiece } from "../drawing/piece";
import { boundsOf, type Polygon, polygonArea } from "../geometry";
import { type Nanometres, toMetres } from "../units";

/**
 * What lies level in the ground: an outline on plan with a bottom and a top. Heights are above the ground as it was found, below it
 * less than nothing.
 */
export type Prism = {
  readonly id: string;
  readonly role: string;
  readonly ring: Polygon;
  readonly fromNm: Nanometres;
  readonly toNm: Nanometres;
};

/** Cubic metres. */
export const volumeOf = ({ ring, fromNm, toNm }: Pick<Prism, "ring" | "fromNm" | "toNm">): number =>
  polygonArea(ring) * toMetres(Math.max(0, toNm - fromNm));

/** What of a prism lies below the ground; undefined where nothing does. */
export const belowGround = (prism: Prism): Prism | undefined =>
  prism.fromNm >= 0 ? undefined : { ...prism, toNm: Math.min(0, prism.toNm) };

/** A sheet is nothing thick; it is drawn as thin as can be seen. */
const THIN_M = 0.004;

/** A prism as a placed piece: on plan by its outline, in space by its heights. */
export function layerPiece(prism: Prism): LayerPiece {
  const { id, role, ring, fromNm, toNm } = prism;
  const bounds = boundsOf(ring) ?? { min: { xNm: 0, yNm: 0 }, max: { xNm: 0, yNm: 0 } };
  const { min, max } = bounds;
  return {
    id,
    role,
    ...min,
    widthNm: max.xNm - min.xNm,
    heightNm: max.yNm - min.yNm,
    points: ring,
    areaM2: polygonArea(ring),
    volumeM3: volumeOf(prism),
    inSpace: {
      // Up the page of the plan is away from the viewer; the depth of the figure goes up.
      frame: { origin: [0, toMetres(fromNm), 0], along: [1, 0, 0], up: [0, 0, -1] },
      outline: ring.map(({ xNm, yNm }) => [toMetres(xNm), toMetres(yNm)] as const),
      nearM: 0,
      depthM: Math.max(THIN_M, toMetres(toNm - fromNm)),
    },
  };
}
