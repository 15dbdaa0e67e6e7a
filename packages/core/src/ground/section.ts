import type { DrawnDimension, DrawnRectangle, ElevationDrawing } from "../drawing/drawing";
import { type Direction, dot, leftOf, minus, type Point, type Polygon } from "../geometry";
import type { Nanometres } from "../units";
import type { Prism } from "./prism";

/** Where something is cut through: from a place, in a direction on plan. */
export type CutLine = { readonly at: Point; readonly heading: Direction };

/** Where a line runs within a ring: pairs of how far along it. */
export function stretchesIn(ring: Polygon, { at, heading }: CutLine): (readonly [Nanometres, Nanometres])[] {
  const across = leftOf(heading);
  const places = ring.map((point) => ({ along: dot(minus(point, at), heading), off: dot(minus(point, at), across) }));
  const met = places
    .flatMap((from, index) => {
      const to = places[(index + 1) % places.length] ?? from;
      if (from.off > 0 === to.off > 0) return [];
      return [from.along + ((to.along - from.along) * from.off) / (from.off - to.off)];
    })
    .toSorted((a, b) => a - b);
  const pairs: (readonly [number, number])[] = [];
  for (let index = 0; index + 1 < met.length; index += 2) pairs.push([met[index] ?? 0, met[index + 1] ?? 0]);
  return pairs;
}

export type SectionWindow = { readonly fromNm: Nanometres; readonly toNm: Nanometres };

/** A dimension of a section, by heights above the ground and by how far along the cut. */
export type SectionFigure = Omit<DrawnDimension, "id"> & { readonly id: string };

/** What a section shows beside what is cut: bars end on, a link's outline. Its place is as along the cut and above the ground. */
export type SectionMark = Omit<DrawnRectangle, "points">;

const LINE_NM = 12_000_000;

/**
 * Prisms cut through along a line, within a window of it; the ground as a line at each side. Nothing is there that is not in the
 * prisms: what is left out of them is left out of the drawing.
 */
export function sectionThrough(
  prisms: readonly Prism[],
  line: CutLine,
  window: SectionWindow,
  figures: readonly SectionFigure[],
  marks: readonly SectionMark[] = [],
): ElevationDrawing {
  const cut = prisms
    .filter(({ role }) => role !== "dig")
    .flatMap(({ id, role, ring, fromNm, toNm }) =>
      stretchesIn(ring, line).flatMap(([a, b], index): DrawnRectangle[] => {
        const [from, to] = [Math.max(a, window.fromNm), Math.min(b, window.toNm)];
        const thick = Math.max(toNm - fromNm, role === "ground-membrane" ? LINE_NM : 0);
        if (to <= from || thick <= 0) return [];
        return [
          {
            id: index === 0 ? id : `${id}/${index}`,
            role,
            xNm: from,
            yNm: toNm - thick,
            widthNm: to - from,
            heightNm: thick,
          },
        ];
      }),
    );
  const backToFront = cut.toSorted((a, b) => Number(b.role === "backfill") - Number(a.role === "backfill"));
  const ground: DrawnRectangle = {
    id: "ground",
    role: "ground-line",
    tone: "earth",
    xNm: window.fromNm,
    yNm: -LINE_NM / 2,
    widthNm: window.toNm - window.fromNm,
    heightNm: LINE_NM,
  };
  const all = [...backToFront, ground, ...marks];
  const lowest = Math.min(...all.map(({ yNm }) => yNm));
  const highest = Math.max(...all.map(({ yNm, heightNm }) => yNm + heightNm));
  return {
    kind: "elevation",
    widthNm: window.toNm - window.fromNm,
    heightNm: highest - lowest,
    rectangles: all.map((each) => ({ ...each, xNm: each.xNm - window.fromNm, yNm: each.yNm - lowest })),
    dimensions: figures.map((each) => {
      const shift = each.direction === "along" ? window.fromNm : lowest;
      return { ...each, fromNm: each.fromNm - shift, toNm: each.toNm - shift };
    }),
  };
}
