import type { PlanDrawing, PlanFigure, PlanShape } from "@wide-porch/core";

export type Px = { readonly x: number; readonly y: number };

/** Where the plan falls on the canvas: y goes down the screen. */
export type PlanFit = {
  readonly pxPerNm: number;
  readonly at: (point: { readonly xNm: number; readonly yNm: number }) => Px;
  readonly back: (px: Px) => { readonly xNm: number; readonly yNm: number };
};

/** How the canvas has been moved and magnified by hand. */
export type View = { readonly k: number; readonly x: number; readonly y: number };
export const WHOLE: View = { k: 1, x: 0, y: 0 };

export type PlanBounds = { readonly left: number; readonly right: number; readonly foot: number; readonly top: number };

const EDGE_PX = 16;
/** Room for the figures outside the house. */
const OUTSIDE_PX = 34;
/** An empty plan is drawn as if it were this wide. */
const SMALLEST_NM = 1_000_000_000;

/** The extent of a drawing; a stand-in for one without shapes. */
export function boundsOfPlan({ shapes }: Pick<PlanDrawing, "shapes">): PlanBounds {
  let [left, right, foot, top] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const shape of shapes) {
    for (const { xNm, yNm } of shape.points) {
      if (xNm < left) left = xNm;
      if (xNm > right) right = xNm;
      if (yNm < foot) foot = yNm;
      if (yNm > top) top = yNm;
    }
  }
  return left > right ? { left: 0, right: SMALLEST_NM, foot: 0, top: SMALLEST_NM } : { left, right, foot, top };
}

export function fitPlan(
  bounds: PlanBounds,
  widthPx: number,
  heightPx: number,
  hasOutside: boolean,
  view: View,
  /** Figures stand outside at the top and the right as well. */
  allRound = false,
): PlanFit {
  const edge = hasOutside ? OUTSIDE_PX : EDGE_PX;
  const far = allRound ? OUTSIDE_PX : EDGE_PX;
  const roomX = Math.max(1, widthPx - edge - far);
  const roomY = Math.max(1, heightPx - edge - far);
  const wideNm = Math.max(SMALLEST_NM, bounds.right - bounds.left);
  const highNm = Math.max(SMALLEST_NM, bounds.top - bounds.foot);
  const fitted = Math.min(roomX / wideNm, roomY / highNm);
  const baseX = edge + (roomX - (bounds.right - bounds.left) * fitted) / 2 - bounds.left * fitted;
  const baseY = far + (roomY - (bounds.top - bounds.foot) * fitted) / 2 + bounds.top * fitted;
  const pxPerNm = fitted * view.k;
  return {
    pxPerNm,
    at: ({ xNm, yNm }) => ({ x: view.x + baseX * view.k + xNm * pxPerNm, y: view.y + baseY * view.k - yNm * pxPerNm }),
    back: ({ x, y }) => ({
      xNm: (x - view.x - baseX * view.k) / pxPerNm,
      yNm: (view.y + baseY * view.k - y) / pxPerNm,
    }),
  };
}

const round = (value: number): number => Math.round(value * 10) / 10;

export function shapePath({ points, closed }: Pick<PlanShape, "points" | "closed">, fit: PlanFit): string {
  const text = points.map((point, index) => {
    const { x, y } = fit.at(point);
    return `${index === 0 ? "M" : "L"}${round(x)} ${round(y)}`;
  });
  return `${text.join("")}${closed ? "z" : ""}`;
}

const CHARACTER_WIDTH = 0.54;
export const FIGURE_PX = 14;
const LETTER_PX = 13;

export type PlacedFigure = {
  readonly figure: PlanFigure;
  readonly text: string;
  readonly at: Px;
  /** Along the stretch, and never upside down. */
  readonly turnDegrees: number;
  readonly sizePx: number;
  readonly ends: readonly [Px, Px];
  readonly button: { readonly left: number; readonly top: number; readonly width: number; readonly height: number };
};

const awayPx = ({ side }: PlanFigure): number => (side === "outside" ? 18 : 13);

/** Where a figure is written. Without room for it all, its first word stands alone: the letter of a wall. */
export function placeFigure(figure: PlanFigure, fit: PlanFit): PlacedFigure | undefined {
  const [from, to] = [fit.at(figure.from), fit.at(figure.to)];
  const lengthPx = Math.hypot(to.x - from.x, to.y - from.y);
  const fits = (text: string, sizePx: number) => text.length * CHARACTER_WIDTH * sizePx + 6 <= lengthPx;
  const [letter = ""] = figure.text.split("  ");
  const whole = fits(figure.text, FIGURE_PX);
  if (!whole && !(letter !== figure.text && fits(letter, LETTER_PX))) return undefined;
  const text = whole ? figure.text : letter;
  const sizePx = whole ? FIGURE_PX : LETTER_PX;
  const away = awayPx(figure);
  const at = {
    x: (from.x + to.x) / 2 + figure.towards.x * away,
    y: (from.y + to.y) / 2 - figure.towards.y * away,
  };
  const degrees = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
  const along = degrees > 90 ? degrees - 180 : degrees <= -90 ? degrees + 180 : degrees;
  const turnDegrees = whole ? along : 0;
  const upright = Math.abs(turnDegrees) < 45;
  const length = Math.max(44, text.length * CHARACTER_WIDTH * sizePx + 10);
  const [width, height] = upright ? [length, 32] : [32, length];
  const button = { left: at.x - width / 2, top: at.y - height / 2, width, height };
  return { figure, text, at, turnDegrees, sizePx, ends: [from, to], button };
}

const inside = (points: readonly Px[], { x, y }: Px): boolean => {
  let within = false;
  for (const [index, a] of points.entries()) {
    const b = points[(index + 1) % points.length] ?? a;
    if (a.y > y !== b.y > y && x < a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)) within = !within;
  }
  return within;
};

/** How near a press may miss a thin wall. */
const NEAR_PX = 14;

function awayFrom(points: readonly Px[], { x, y }: Px): number {
  let nearest = Number.POSITIVE_INFINITY;
  for (const [index, a] of points.entries()) {
    const b = points[(index + 1) % points.length] ?? a;
    const squared = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
    const share =
      squared === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.x) * (b.x - a.x) + (y - a.y) * (b.y - a.y)) / squared));
    nearest = Math.min(nearest, Math.hypot(x - a.x - share * (b.x - a.x), y - a.y - share * (b.y - a.y)));
  }
  return nearest;
}

const RANK: Partial<Record<PlanShape["role"], number>> = {
  door: 4,
  window: 4,
  plain: 4,
  arch: 4,
  "new-wall": 3,
  wall: 2,
  room: 1,
};

/** What lies at a point of the canvas: openings before walls, and a wall just beside the thumb before the floor. */
export function shapeAt(shapes: readonly PlanShape[], fit: PlanFit, px: Px): PlanShape | undefined {
  const found = shapes.flatMap((shape) => {
    const rank = RANK[shape.role];
    if (rank === undefined) return [];
    const points = shape.points.map(fit.at);
    const away = inside(points, px) ? 0 : awayFrom(points, px);
    if (away > (rank > 1 ? NEAR_PX : 0)) return [];
    return [{ shape, order: rank - away / (NEAR_PX + 1) }];
  });
  return found.toSorted((a, b) => b.order - a.order)[0]?.shape;
}
