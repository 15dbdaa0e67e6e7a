import type { RoomOpening } from "../../parts/opening";
import { areaOf, type Nanometres, type SquareMetres } from "../../units";

/** Through the wall: a rectangle, or with half an ellipse at its head. */
export function openingArea(opening: RoomOpening): SquareMetres {
  const widthNm = opening.width.valueNm ?? 0;
  const heightNm = opening.height.valueNm ?? 0;
  if (opening.kind !== "arch") return areaOf(widthNm, heightNm);
  const riseNm = opening.rise.valueNm ?? 0;
  return areaOf(widthNm, heightNm - riseNm) + (Math.PI / 4) * areaOf(widthNm, riseNm);
}

/** Whether one walks through it: skirting stops there, and it has no sill. */
export const reachesFloor = (opening: RoomOpening): boolean => (opening.sill.valueNm ?? 0) === 0;

/**
 * The edge of an opening that is lined: two sides and the head, and the sill of a window. An arch's head is the curve,
 * by Ramanujan's first approximation of the ellipse (general mathematics).
 */
export function revealLengthNm(opening: RoomOpening): Nanometres {
  const widthNm = opening.width.valueNm ?? 0;
  const heightNm = opening.height.valueNm ?? 0;
  const sillNm = reachesFloor(opening) ? 0 : widthNm;
  if (opening.kind !== "arch") return 2 * heightNm + widthNm + sillNm;
  const riseNm = opening.rise.valueNm ?? 0;
  const [a, b] = [widthNm / 2, riseNm];
  const curveNm = (Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)))) / 2;
  return Math.round(2 * (heightNm - riseNm) + curveNm + sillNm);
}
