import { type DrawnRectangle, roleOf } from "@wide-porch/core";
import type { Fit } from "./drawingFit";

export type AlikeShapes = {
  readonly key: string;
  readonly role: string;
  readonly tone: string | undefined;
  readonly lit: boolean;
  readonly active: boolean;
  readonly members: readonly DrawnRectangle[];
};

/** Outline at the back, sheets on it, openings cut through the sheets, timber in front, what is lit foremost. */
function rank(role: string, lit: boolean): number {
  if (role === "outline") return 0;
  if (isSheetRole(role) || isCourseRole(role)) return lit ? 1.5 : 1;
  if (role === "opening") return 2;
  return lit ? 4 : 3;
}

/** Shapes of one look together, from back to front. */
export function groupAlike(
  rectangles: readonly DrawnRectangle[],
  litIds: ReadonlySet<string> | undefined,
  activeOpening: string | undefined,
): AlikeShapes[] {
  const groups = new Map<
    string,
    { role: string; tone: string | undefined; lit: boolean; active: boolean; members: DrawnRectangle[] }
  >();
  for (const shape of rectangles) {
    const lit = litIds?.has(shape.id) ?? false;
    const active = shape.role === "opening" && shape.id === activeOpening;
    const key = `${shape.role} ${shape.tone ?? ""}${lit ? " lit" : ""}${active ? " active" : ""}`;
    const group = groups.get(key);
    if (group) group.members.push(shape);
    else groups.set(key, { role: shape.role, tone: shape.tone, lit, active, members: [shape] });
  }
  return [...groups]
    .map(([key, group]) => ({ key, ...group }))
    .toSorted((a, b) => rank(a.role, a.lit) - rank(b.role, b.lit));
}

/** Units of masonry: their joints are the gaps between them. */
export const isCourseRole = (role: string): boolean => roleOf(role)?.form === "course";

/** Sheets lie over the whole wall: what is framed shows through them. */
export const isSheetRole = (role: string): boolean => roleOf(role)?.form === "sheet";

const px = (value: number): number => Math.round(value * 100) / 100;

/** A closed path; nothing is thinner than half a pixel. */
export function rectanglePath(shape: DrawnRectangle, fit: Fit): string {
  if (shape.points) {
    const [first, ...rest] = shape.points.map(({ xNm, yNm }) => `${px(fit.x(xNm))} ${px(fit.y(yNm))}`);
    return `M${first}${rest.map((point) => `L${point}`).join("")}z`;
  }
  if (shape.unitNm !== undefined && shape.unitNm < shape.widthNm) return unitsPath(shape, shape.unitNm, fit);
  const width = px(Math.max(0.5, shape.widthNm * fit.pxPerNm));
  const height = px(Math.max(0.5, shape.heightNm * fit.pxPerNm));
  return `M${px(fit.x(shape.xNm))} ${px(fit.y(shape.yNm + shape.heightNm))}h${width}v${height}h${-width}z`;
}

/** Each unit of a course by itself, so that its joints show. */
function unitsPath({ jointNm = 0, ...shape }: DrawnRectangle, unitNm: number, fit: Fit): string {
  const height = px(Math.max(0.5, shape.heightNm * fit.pxPerNm));
  const top = px(fit.y(shape.yNm + shape.heightNm));
  let path = "";
  for (let atNm = 0; atNm < shape.widthNm; atNm += unitNm + jointNm) {
    // The last one may be cut.
    const width = px(Math.max(0.5, Math.min(unitNm, shape.widthNm - atNm) * fit.pxPerNm));
    path += `M${px(fit.x(shape.xNm + atNm))} ${top}h${width}v${height}h${-width}z`;
  }
  return path;
}

/** A stud is thinner on a phone than a thumb: a press this near counts. */
const NEAR_PX = 6;

/** The stick or sheet at a point of the canvas, the foremost and nearest first. */
export function rectangleAt(
  rectangles: readonly DrawnRectangle[],
  fit: Fit,
  xPx: number,
  yPx: number,
): DrawnRectangle | undefined {
  const distance = (shape: DrawnRectangle): number => {
    const left = fit.x(shape.xNm);
    const top = fit.y(shape.yNm + shape.heightNm);
    const beside = Math.max(left - xPx, xPx - left - shape.widthNm * fit.pxPerNm, 0);
    const above = Math.max(top - yPx, yPx - top - shape.heightNm * fit.pxPerNm, 0);
    return Math.hypot(beside, above);
  };
  const [best] = rectangles
    .filter((shape) => shape.role !== "outline" && shape.role !== "opening")
    .map((shape) => ({ shape, away: distance(shape), back: isSheetRole(shape.role) ? NEAR_PX : 0 }))
    .filter(({ away, back }) => away <= NEAR_PX - back)
    .toSorted((a, b) => a.away + a.back - (b.away + b.back));
  return best?.shape;
}
