import { headingFrom, type Polygon, signedArea } from "../../geometry";

export type Corner = { readonly insideDegrees: number };

/** The angle inside the ring at each of its corners, in order. */
export function cornersOf(polygon: Polygon): readonly Corner[] {
  const way = Math.sign(signedArea(polygon)) || 1;
  return polygon.map((point, index) => {
    const before = polygon[(index + polygon.length - 1) % polygon.length] ?? point;
    const next = polygon[(index + 1) % polygon.length] ?? point;
    const arriving = headingFrom(before, point);
    const leaving = headingFrom(point, next);
    if (!arriving || !leaving) return { insideDegrees: 180 };
    const cross = arriving.x * leaving.y - arriving.y * leaving.x;
    const dot = arriving.x * leaving.x + arriving.y * leaving.y;
    return { insideDegrees: 180 - (way * Math.atan2(cross, dot) * 180) / Math.PI };
  });
}
