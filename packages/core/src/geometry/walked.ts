import type { Nanometres } from "../units";
import { along, directionOf, normalDegrees, ORIGIN, type Point } from "./point";

/** A straight stretch of a walk, and the turn at its end: degrees, to the left above zero. */
export type WalkedRun = { readonly lengthNm: Nanometres; readonly turnDegrees: number };

/** The corners of a walk that begins at the origin along the page: one more than runs. */
export function walkedPoints(runs: readonly WalkedRun[]): Point[] {
  const corners: Point[] = [ORIGIN];
  let degrees = 0;
  for (const [index, { lengthNm, turnDegrees }] of runs.entries()) {
    corners.push(along(corners[index] ?? ORIGIN, directionOf(degrees), lengthNm));
    degrees = normalDegrees(degrees + turnDegrees);
  }
  return corners;
}
