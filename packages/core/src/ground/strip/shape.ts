import {
  boundsOf,
  type Direction,
  differenceRings,
  distance,
  dot,
  headingFrom,
  leftOf,
  minus,
  offsetEdges,
  overlapRings,
  type Point,
  type Polygon,
  rightOf,
  signedArea,
} from "../../geometry";
import { cornersOf, type OutlineEdgeOnPlan, outlineOf } from "../../parts/walkedOutline";
import type { Nanometres } from "../../units";
import type { InnerLine, StripEdge, StripFigures } from "./schema";

type Line = { readonly from: Point; readonly to: Point };
export type PlacedLine = Line & { readonly edge: StripEdge };

/** What a footing's lines enclose, and the lines themselves, the inside on their left. */
export type StripOutline = {
  readonly lines: readonly PlacedLine[];
  readonly closed: boolean;
  readonly inwards: 1 | -1;
};

/** How far something reaches to either side of the line that was measured: to the outside, and to the inside. */
export type Reach = { readonly outNm: Nanometres; readonly inNm: Nanometres };

/** The lines as they were walked; undefined while a figure is missing, a closed walk has a gap, or it crosses itself. */
export function stripOutline({ edges, closed }: Pick<StripFigures, "edges" | "closed">): StripOutline | undefined {
  if (closed) {
    const outline = outlineOf(edges);
    if (!outline.ok) return undefined;
    return { lines: outline.edges, closed, inwards: outline.inwards };
  }
  if (edges.some(({ length }) => length.valueNm === null)) return undefined;
  const corners = cornersOf(edges);
  const lines = edges.map((edge, index): OutlineEdgeOnPlan<StripEdge> => {
    const from = corners[index] ?? { xNm: 0, yNm: 0 };
    return { edge, from, to: corners[index + 1] ?? from };
  });
  // An open walk that turns to the right has its inside on the right.
  if (signedArea(corners) >= 0) return { lines, closed, inwards: 1 };
  return { lines: lines.toReversed().map(({ edge, from, to }) => ({ edge, from: to, to: from })), closed, inwards: -1 };
}

/** The two sides of a band of concrete: so wide, in the middle of a wall so thick. */
export function reachOf(
  { measuredAlong, stemWidth }: Pick<StripFigures, "measuredAlong" | "stemWidth">,
  widthNm: Nanometres,
): Reach {
  const wallNm = measuredAlong === "centre" ? 0 : (stemWidth.valueNm ?? 0);
  const outNm = Math.round((widthNm - wallNm) / 2);
  return { outNm, inNm: widthNm - outNm };
}

const moved = ({ lines, closed }: StripOutline, byNm: Nanometres, out: boolean): Line[] => {
  // Moved by less than nothing is moved the other way.
  const away = byNm >= 0 === out;
  return offsetEdges(
    lines.map(({ from, to }) => {
      const heading = headingFrom(from, to) ?? { x: 1, y: 0 };
      return { from, to, outward: away ? rightOf(heading) : leftOf(heading), byNm: Math.abs(byNm) };
    }),
    closed,
  );
};

/** A band along the lines as one ring for each of them, mitred where they meet; and what it encloses, where it does. */
export type Band = {
  readonly quads: readonly {
    readonly edge: StripEdge;
    readonly line: Line;
    readonly outer: Line;
    readonly inner: Line;
  }[];
  readonly within: Polygon;
  /** It is so wide that its sides meet across the middle. */
  readonly meets: boolean;
};

const sameWay = (a: Line, b: Line): boolean => {
  const [along, other] = [headingFrom(a.from, a.to), headingFrom(b.from, b.to)];
  return along !== undefined && other !== undefined && along.x * other.x + along.y * other.y > 0;
};

export function bandOf(outline: StripOutline, { outNm, inNm }: Reach): Band {
  const outer = moved(outline, outNm, true);
  const inner = moved(outline, inNm, false);
  const within = outline.closed ? inner.map(({ from }) => from) : [];
  const meets =
    outline.closed &&
    (outline.lines.some((line, index) => !sameWay(line, inner[index] ?? line)) || signedArea(within) <= 0);
  return {
    quads: outline.lines.map(({ edge, from, to }, index) => ({
      edge,
      line: { from, to },
      outer: outer[index] ?? { from, to },
      inner: inner[index] ?? { from, to },
    })),
    within: meets ? [] : within,
    meets,
  };
}

/** The stretch of a band's ring along one of its lines, cut square across at both places unless it ends there. */
export function stretchOf(quad: Band["quads"][number], fromNm: Nanometres, toNm: Nanometres): Polygon {
  const { line, outer, inner } = quad;
  const heading = headingFrom(line.from, line.to) ?? { x: 1, y: 0 };
  const lengthNm = distance(line.from, line.to);
  const on = (side: Line, nm: Nanometres, end: "from" | "to"): Point => {
    if ((end === "from" && nm <= 0) || (end === "to" && nm >= lengthNm - 1)) return side[end];
    const startNm = dot(minus(side.from, line.from), heading);
    // Near a corner one side ends before the other: a stretch ends with it, so that what is cut is still all of it, once.
    return along(side.from, heading, Math.min(Math.max(0, nm - startNm), distance(side.from, side.to)));
  };
  return [on(outer, fromNm, "from"), on(outer, toNm, "to"), on(inner, toNm, "to"), on(inner, fromNm, "from")];
}

const along = (from: Point, { x, y }: Direction, nm: Nanometres): Point => {
  return { xNm: from.xNm + Math.round(x * nm), yNm: from.yNm + Math.round(y * nm) };
};

/** A footing within: its ring between the sides of the band, and its middle. */
export type InnerBand = { readonly line: InnerLine; readonly rings: readonly Polygon[]; readonly run: Line };

/** Bands so wide along inner lines, clipped to what another band encloses; where they cross each is there once. */
export function innerBands(
  { inner }: Pick<StripFigures, "inner">,
  outline: StripOutline,
  within: Polygon,
  widthNm: Nanometres,
): InnerBand[] {
  const clear = boundsOf(within);
  const whole = boundsOf(outline.lines.flatMap(({ from, to }) => [from, to]));
  if (!clear || !whole) return [];
  const taken: Polygon[] = [];
  return inner.flatMap((line): InnerBand[] => {
    const alongA = line.runs === "along";
    const alike = inner.filter(({ runs, at }) => runs === line.runs && at.valueNm === null);
    const [low, high] = alongA ? [clear.min.yNm, clear.max.yNm] : [clear.min.xNm, clear.max.xNm];
    const evenNm = low + Math.round(((high - low) * (alike.indexOf(line) + 1)) / (alike.length + 1));
    const at = line.at.valueNm ?? 0;
    const fromA = outline.inwards === 1 ? whole.min.yNm + at : whole.max.yNm - at;
    const middleNm = line.at.valueNm === null ? evenNm : alongA ? fromA : whole.min.xNm + at;
    const [near, far] = [middleNm - Math.round(widthNm / 2), middleNm + widthNm - Math.round(widthNm / 2)];
    const corner = (alongNm: Nanometres, acrossNm: Nanometres): Point =>
      alongA ? { xNm: alongNm, yNm: acrossNm } : { xNm: acrossNm, yNm: alongNm };
    const [start, end] = alongA ? [clear.min.xNm, clear.max.xNm] : [clear.min.yNm, clear.max.yNm];
    const band = [corner(start, near), corner(end, near), corner(end, far), corner(start, far)];
    const axis = alongA ? "xNm" : "yNm";
    // Over an outline with arms a line lies in several of them: each is a footing of its own.
    return overlapRings(within, band).flatMap((ring): InnerBand[] => {
      const extent = boundsOf(ring);
      if (!extent || signedArea(ring) <= 0) return [];
      const own = differenceRings(ring, taken);
      taken.push(ring);
      const run = { from: corner(extent.min[axis], middleNm), to: corner(extent.max[axis], middleNm) };
      return [{ line, rings: own, run }];
    });
  });
}
