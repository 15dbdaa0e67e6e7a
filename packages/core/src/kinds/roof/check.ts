import type { Point } from "../../geometry";
import type { XYZ } from "../../geometry/skeleton";
import { type Nanometres, NM_PER_MM } from "../../units";
import type { RoofForm } from "./form";

/** A corner of a roof that a tape can be held to: an end of a ridge, a hip, an eave. Heights are above the plate. */
export type RoofPoint = { readonly at: XYZ; readonly point: Point };

const toPoint = ([x, y]: XYZ): Point => ({ xNm: Math.round(x * NM_PER_MM), yNm: Math.round(y * NM_PER_MM) });

/** Every corner once, on the wall line and of the overhangs. */
export function roofPoints({ faces }: RoofForm): readonly RoofPoint[] {
  const found = new Map<string, RoofPoint>();
  for (const { sides, wallSides } of faces) {
    for (const { from } of [...sides, ...wallSides]) {
      const key = from.map((each) => each.toFixed(1)).join("/");
      if (!found.has(key)) found.set(key, { at: from, point: toPoint(from) });
    }
  }
  return [...found.values()];
}

/** The corner nearest to a place on plan; nothing for a roof without one. Of several over each other, the highest. */
export function nearestRoofPoint(form: RoofForm, { xNm, yNm }: Point): RoofPoint | undefined {
  const far = ({ point }: RoofPoint) => Math.round(Math.hypot(point.xNm - xNm, point.yNm - yNm) / NM_PER_MM);
  return roofPoints(form).toSorted((a, b) => far(a) - far(b) || b.at[2] - a.at[2])[0];
}

/** From one corner to another: level, up, and straight between them, which is along the slope where both lie in one. */
export function betweenPoints(
  { at: a }: RoofPoint,
  { at: b }: RoofPoint,
): { level: Nanometres; up: Nanometres; straight: Nanometres } {
  const levelMm = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const upMm = Math.abs(b[2] - a[2]);
  const nm = (mm: number) => Math.round(mm * NM_PER_MM);
  return { level: nm(levelMm), up: nm(upMm), straight: nm(Math.hypot(levelMm, upMm)) };
}
