import { crossings, interiorPoint, isInside, type Point, type Polygon, segmentsMeet } from "../../geometry";
import { assumedDimension } from "../../parts/dimension";
import { type Problem, problem } from "../../problems/problem";
import { inches, type MeasuringSystem, millimetres } from "../../units";
import type { Courtyard, Roof } from "./schema";

export const COURTYARD_FIGURES = [
  ["along", "Along Edge A, from where it begins"],
  ["into", "In from Edge A"],
  ["width", "Width along Edge A"],
  ["depth", "Depth"],
] as const;
export type CourtyardFigure = (typeof COURTYARD_FIGURES)[number][0];

export const MOST_COURTYARDS = 6;

export const courtyardName = ({ courtyards }: Pick<Roof, "courtyards">, id: string): string =>
  `Courtyard ${courtyards.findIndex((each) => each.id === id) + 1}`;

/** Its corners on the roof's own plan, the roof on the left of its sides; nothing while it lacks a figure. `inwards` is up or down the page. */
export function courtyardRing({ along, into, width, depth }: Courtyard, inwards: 1 | -1): Polygon | undefined {
  const figures = [along, into, width, depth].map(({ valueNm }) => valueNm);
  const [left, low, wide, deep] = figures;
  if (typeof left !== "number" || typeof low !== "number" || !wide || !deep) return undefined;
  const [near, far] = inwards > 0 ? [low, low + deep] : [-low - deep, -low];
  return [
    { xNm: left, yNm: near },
    { xNm: left, yNm: far },
    { xNm: left + wide, yNm: far },
    { xNm: left + wide, yNm: near },
  ];
}

const edges = (ring: Polygon) => ring.map((from, index) => [from, ring[(index + 1) % ring.length] ?? from] as const);
const cross = (a: Polygon, b: Polygon): boolean =>
  edges(a).some(([from, to]) => edges(b).some(([other, end]) => segmentsMeet(from, to, other, end)));

const isWithin = (ring: Polygon, outline: Polygon): boolean =>
  ring.every((corner) => isInside(outline, corner)) && !cross(ring, outline);

/** Courtyards that leave the outline, or come into each other: nothing can be built round them. */
export function courtyardProblems(roof: Roof, outline: Polygon, inwards: 1 | -1): Problem[] {
  if (crossings(outline).length > 0) return [];
  const placed: Polygon[] = [];
  return roof.courtyards.flatMap((court): Problem[] => {
    const ring = courtyardRing(court, inwards);
    if (!ring) return [];
    const name = courtyardName(roof, court.id);
    const path = `courtyards.${court.id}.along`;
    const holds = (outer: Polygon, inner: Polygon) => inner.some((corner) => isInside(outer, corner));
    const meets = placed.some((other) => cross(ring, other) || holds(other, ring) || holds(ring, other));
    placed.push(ring);
    if (!isWithin(ring, outline)) return [problem("courtyard", path, `${name} is not within the outline.`)];
    return meets ? [problem("courtyard", path, `${name} comes into another one.`)] : [];
  });
}

/** The outline that it goes into, and which way that lies from Edge A. */
type Within = { readonly polygon: Polygon; readonly inwards: 1 | -1 };

/** One more courtyard where there is most room, a quarter of that wide; the same roof where there is none, or too many. */
export function withCourtyard(roof: Roof, id: string, { polygon, inwards }: Within, system: MeasuringSystem): Roof {
  const middle = interiorPoint(polygon);
  if (!middle || roof.courtyards.length >= MOST_COURTYARDS) return roof;
  const room = Math.min(...edges(polygon).map(([from, to]) => distanceTo(middle, from, to)));
  const step = system === "imperial" ? inches(6) : millimetres(100);
  const whole = (nm: number) => Math.round(nm / step) * step;
  const halfNm = Math.max(step, whole(room / 4));
  const court: Courtyard = {
    id,
    along: assumedDimension(whole(middle.xNm - halfNm)),
    into: assumedDimension(whole(inwards * middle.yNm - halfNm)),
    width: assumedDimension(2 * halfNm),
    depth: assumedDimension(2 * halfNm),
  };
  return { ...roof, courtyards: [...roof.courtyards, court] };
}

function distanceTo(point: Point, from: Point, to: Point): number {
  const [x, y] = [to.xNm - from.xNm, to.yNm - from.yNm];
  const share = Math.min(
    1,
    Math.max(0, ((point.xNm - from.xNm) * x + (point.yNm - from.yNm) * y) / (x * x + y * y || 1)),
  );
  return Math.hypot(point.xNm - from.xNm - share * x, point.yNm - from.yNm - share * y);
}

export const withoutCourtyard = (roof: Roof, id: string): Roof => ({
  ...roof,
  courtyards: roof.courtyards.filter((each) => each.id !== id),
});
