import type { DrawnDimension, DrawnRectangle, ElevationDrawing } from "../drawing/drawing";
import { type Direction, keptBelow, type Polygon } from "../geometry";
import type { StoreyLevel } from "../plan";
import { formatLength, type MeasuringSystem, type Nanometres, NM_PER_M, toMetres } from "../units";
import { depthOf, type Frame, type Solid, type Space } from "./solid";

/** An upright cut through the house: along a direction of the plan, at a place square to it. As one looks along the other way. */
export type SectionLine = {
  /** Across the page the cut runs from left to right; up it, from its foot. */
  readonly along: "across" | "up";
  /** Where it is: up the page for a cut across, across the page for one up. */
  readonly atNm: Nanometres;
};

/** A plane cut at `offM` along `normal`, and the direction one reads along it, in space. Metres. */
type Cut = { readonly normal: Space; readonly offM: number; readonly reading: Space };

function cutOf({ along, atNm }: SectionLine): Cut {
  const at = toMetres(atNm);
  // Up the page is towards -z in space.
  return along === "across"
    ? { normal: [0, 0, -1], offM: at, reading: [1, 0, 0] }
    : { normal: [1, 0, 0], offM: at, reading: [0, 0, -1] };
}

const dot = (a: Space, b: Space): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
type Flat = readonly (readonly [number, number])[];

const toNm = (outline: Flat): Polygon =>
  outline.map(([x, y]) => ({ xNm: Math.round(x * NM_PER_M), yNm: Math.round(y * NM_PER_M) }));

/** From a solid's own axes to the drawing: how far along the cut, and how high. */
function drawnFrom({ origin, along, up }: Frame, depth: Space, { reading }: Cut) {
  return (x: number, y: number, z: number) => {
    const at = (axis: 0 | 1 | 2) => origin[axis] + along[axis] * x + up[axis] * y + depth[axis] * z;
    const point: Space = [at(0), at(1), at(2)];
    return { xNm: Math.round(dot(point, reading) * NM_PER_M), yNm: Math.round(point[1] * NM_PER_M) };
  };
}

const ALMOST = 1e-9;

/** Where a line through an outline is inside it, holes left out: pairs of places along the line. */
function spansAlong(outlines: readonly Flat[], normal: readonly [number, number], off: number): [number, number][] {
  const [nx, ny] = normal;
  const places = outlines.flatMap((outline) =>
    outline.flatMap(([ax, ay], index) => {
      const [bx, by] = outline[(index + 1) % outline.length] ?? [ax, ay];
      const [a, b] = [nx * ax + ny * ay - off, nx * bx + ny * by - off];
      if (a > 0 === b > 0) return [];
      const share = a / (a - b);
      return [-ny * (ax + share * (bx - ax)) + nx * (ay + share * (by - ay))];
    }),
  );
  const sorted = places.toSorted((a, b) => a - b);
  return sorted.flatMap((from, index): [number, number][] => {
    const to = sorted[index + 1];
    return index % 2 === 0 && to !== undefined && to - from > ALMOST ? [[from, to]] : [];
  });
}

/** A cut that runs along the depth of a solid goes through its outline as strips, each as deep as the solid. */
function stripsOf(solid: Solid, depth: Space, cut: Cut, off: number): Polygon[] {
  const { along, up } = solid.frame;
  const normal = [dot(cut.normal, along), dot(cut.normal, up)] as const;
  const size = Math.hypot(...normal);
  if (size < ALMOST) return [];
  const unit = [normal[0] / size, normal[1] / size] as const;
  const drawn = drawnFrom(solid.frame, depth, cut);
  const [nearM, farM] = [solid.nearM, solid.nearM + solid.depthM];
  const at = (t: number) => [unit[0] * (off / size) - unit[1] * t, unit[1] * (off / size) + unit[0] * t] as const;
  return spansAlong([solid.outline, ...solid.holes], unit, off / size).map(([from, to]) => {
    const [a, b] = [at(from), at(to)];
    return [drawn(...a, nearM), drawn(...b, nearM), drawn(...b, farM), drawn(...a, farM)];
  });
}

/** A cut that crosses the depth shows the outline as far as it lies within the depth. */
function faceOf(solid: Solid, depth: Space, cut: Cut, off: number): Polygon[] {
  const { along, up } = solid.frame;
  const across = dot(cut.normal, depth);
  // How deep the cut is at (x, y): (off - nx·x - ny·y) / across, between the near and the far side.
  const slope: Direction = { x: dot(cut.normal, along) / across, y: dot(cut.normal, up) / across };
  const deepest = off / across;
  const limit = (value: number) => Math.round(value * NM_PER_M);
  const within = (outline: Flat): Polygon => {
    const near = keptBelow(toNm(outline), slope, limit(deepest - solid.nearM));
    const away = { x: -slope.x, y: -slope.y };
    return keptBelow(near, away, limit(solid.nearM + solid.depthM - deepest));
  };
  const drawn = drawnFrom(solid.frame, depth, cut);
  const pieces = solid.holes.length === 0 ? [solid.outline] : trapezia([solid.outline, ...solid.holes]);
  return pieces
    .map(within)
    .filter((kept) => kept.length > 2)
    .map((kept) =>
      kept.map(({ xNm, yNm }) => {
        const [x, y] = [toMetres(xNm), toMetres(yNm)];
        return drawn(x, y, deepest - slope.x * x - slope.y * y);
      }),
    );
}

/** An outline with holes as upright trapezia that together are what is left of it. */
function trapezia(outlines: readonly Flat[]): Flat[] {
  const edges = outlines.flatMap((outline) =>
    outline.map((from, index) => [from, outline[(index + 1) % outline.length] ?? from] as const),
  );
  const breaks = [...new Set(outlines.flat().map(([x]) => x))].toSorted((a, b) => a - b);
  return breaks.flatMap((left, index) => {
    const right = breaks[index + 1];
    if (right === undefined || right - left < ALMOST) return [];
    const crossing = edges
      .filter(([[ax], [bx]]) => Math.min(ax, bx) <= left && Math.max(ax, bx) >= right)
      .map(([[ax, ay], [bx, by]]) => {
        const at = (x: number) => ay + ((x - ax) / (bx - ax)) * (by - ay);
        return { left: at(left), right: at(right) };
      })
      .toSorted((a, b) => a.left + a.right - b.left - b.right);
    return crossing.flatMap((low, nth): Flat[] => {
      const high = crossing[nth + 1];
      if (nth % 2 === 1 || !high) return [];
      return [
        [
          [left, low.left],
          [right, low.right],
          [right, high.right],
          [left, high.left],
        ],
      ];
    });
  });
}

/** What a cut shows of one solid; nothing where it misses it. */
export function cutSolid(solid: Solid, line: SectionLine): Polygon[] {
  const cut = cutOf(line);
  const depth = depthOf(solid.frame);
  const off = cut.offM - dot(cut.normal, solid.frame.origin);
  const runsAlong = Math.abs(dot(cut.normal, depth)) < 1e-6;
  return runsAlong ? stripsOf(solid, depth, cut, off) : faceOf(solid, depth, cut, off);
}

/** How far the solids reach square to a cut: between these it shows something. Undefined for no solids. */
export function reachOf(
  solids: readonly Solid[],
  along: SectionLine["along"],
): { readonly fromNm: Nanometres; readonly toNm: Nanometres } | undefined {
  const { normal } = cutOf({ along, atNm: 0 });
  let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const { frame, outline, nearM, depthM } of solids) {
    const depth = depthOf(frame);
    const foot = dot(frame.origin, normal);
    const sides = [nearM, nearM + depthM].map((z) => z * dot(depth, normal));
    for (const [x, y] of outline) {
      const at = foot + x * dot(frame.along, normal) + y * dot(frame.up, normal);
      for (const side of sides) {
        least = Math.min(least, at + side);
        most = Math.max(most, at + side);
      }
    }
  }
  if (!Number.isFinite(least)) return undefined;
  return { fromNm: Math.round(least * NM_PER_M), toNm: Math.round(most * NM_PER_M) };
}

/** Where a cut is most likely to show something: in the middle of the solids, by their number. */
export function usualCut(solids: readonly Solid[], along: SectionLine["along"]): Nanometres {
  const middles = solids.flatMap((solid) => {
    const reach = reachOf([solid], along);
    return reach ? [Math.round((reach.fromNm + reach.toNm) / 2)] : [];
  });
  return middles.toSorted((a, b) => a - b)[Math.floor(middles.length / 2)] ?? 0;
}

/** From floor to floor, and the thickness of what is cut is read off the drawing. Heights from the lowest that is drawn. */
function levelFigures(
  levels: ReadonlyMap<string, StoreyLevel>,
  footNm: Nanometres,
  highNm: Nanometres,
  system: MeasuringSystem,
): DrawnDimension[] {
  return [...levels].flatMap(([storey, { floorNm, toNextNm }]): DrawnDimension[] => {
    const [fromNm, toNm] = [floorNm - footNm, floorNm + toNextNm - footNm];
    if (fromNm < 0 || fromNm >= highNm) return [];
    const text = formatLength(toNextNm, system);
    return [{ id: `level/${storey}`, direction: "up", fromNm, toNm: Math.min(toNm, highNm), row: 1, text }];
  });
}

/** A section through the house: what a cut goes through, as it lies, with the floors' heights. Nothing where it meets nothing. */
export function sectionThrough(
  solids: readonly Solid[],
  line: SectionLine,
  levels: ReadonlyMap<string, StoreyLevel>,
  system: MeasuringSystem,
): ElevationDrawing | undefined {
  const cuts = solids.flatMap((solid) =>
    cutSolid(solid, line).map((points, index) => ({
      solid,
      points,
      id: index === 0 ? solid.id : `${solid.id}/${index + 1}`,
    })),
  );
  const all = cuts.flatMap(({ points }) => points);
  if (all.length === 0) return undefined;
  const least = { x: Infinity, y: Infinity };
  const most = { x: -Infinity, y: -Infinity };
  for (const { xNm, yNm } of all) {
    least.x = Math.min(least.x, xNm);
    least.y = Math.min(least.y, yNm);
    most.x = Math.max(most.x, xNm);
    most.y = Math.max(most.y, yNm);
  }
  const rectangles = cuts.map(({ solid, points, id }): DrawnRectangle => {
    const moved = points.map(({ xNm, yNm }) => ({ xNm: xNm - least.x, yNm: yNm - least.y }));
    const [xs, ys] = [moved.map((point) => point.xNm), moved.map((point) => point.yNm)];
    const [xNm, yNm] = [Math.min(...xs), Math.min(...ys)];
    const size = { widthNm: Math.max(...xs) - xNm, heightNm: Math.max(...ys) - yNm };
    return { id, role: solid.role, tone: solid.tone, xNm, yNm, ...size, points: moved };
  });
  const [widthNm, heightNm] = [most.x - least.x, most.y - least.y];
  const dimensions = [
    { id: "width", direction: "along" as const, fromNm: 0, toNm: widthNm, row: 1, text: formatLength(widthNm, system) },
    ...levelFigures(levels, least.y, heightNm, system),
  ];
  return { kind: "elevation", widthNm, heightNm, rectangles, dimensions };
}
