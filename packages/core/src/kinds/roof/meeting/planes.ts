import type { Point, Polygon } from "../../../geometry";
import { without } from "../../../geometry/grid";
import type { FormFace } from "../../../geometry/skeleton";
import { NM_PER_MM } from "../../../units";
import type { RoofFace, RoofForm } from "../formTypes";
import type { PlaneOver } from "./types";

export type Gradient = Omit<PlaneOver, "ring">;

/** The plane of a slope, from how it rises from its line. */
export function gradientOf({ line }: Pick<FormFace, "line">): Gradient {
  const slope = 1 / line.runPerRise;
  return {
    gradX: line.normal[0] * slope,
    gradY: line.normal[1] * slope,
    cMm: line.fromHeightMm - line.offsetMm * slope,
  };
}

export const heightAt = ({ gradX, gradY, cMm }: Gradient, { xNm, yNm }: Point): number =>
  cMm + (gradX * xNm + gradY * yNm) / NM_PER_MM;

export const pointOf = ([x, y]: readonly [number, number, ...number[]]): Point => ({
  xNm: Math.round(x * NM_PER_MM),
  yNm: Math.round(y * NM_PER_MM),
});

export const polygonOf = (ring: readonly { readonly from: readonly [number, number, number] }[]): Polygon =>
  ring.map(({ from }) => pointOf(from));

/** Rings of sides that follow each other; the sides of a slope that was cut may be of several. */
export function ringsOf<S extends { readonly from: readonly number[]; readonly to: readonly number[] }>(
  sides: readonly S[],
): S[][] {
  const rings: S[][] = [];
  for (const side of sides) {
    const ring = rings.at(-1);
    const last = ring?.at(-1);
    const follows =
      last && Math.hypot((last.to[0] ?? 0) - (side.from[0] ?? 0), (last.to[1] ?? 0) - (side.from[1] ?? 0)) < 0.01;
    if (ring && follows) ring.push(side);
    else rings.push([side]);
  }
  return rings;
}

/** The slopes of a form over the line of its walls, and its flats. */
export function planesOf({ faces, flats }: RoofForm): PlaneOver[] {
  return [
    ...faces.flatMap((face: RoofFace) =>
      ringsOf(face.wallSides).map((ring) => ({ ring: polygonOf(ring), ...gradientOf(face.form) })),
    ),
    ...flats.map((ring) => ({ ring: ring.map(pointOf), gradX: 0, gradY: 0, cMm: ring[0]?.[2] ?? 0 })),
  ];
}

/** What of the slopes hangs out over the line of the walls. */
export const overhangsOf = ({ faces }: RoofForm, outline: Polygon): PlaneOver[] =>
  faces
    .filter(({ dormerId }) => dormerId === undefined)
    .flatMap((face) => without(polygonOf(face.sides), [outline]).map((ring) => ({ ring, ...gradientOf(face.form) })));
