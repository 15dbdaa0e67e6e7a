import {
  boundsOf,
  differenceRings,
  dot,
  headingFrom,
  leftOf,
  offsetEdges,
  overlapRings,
  type Point,
  type Polygon,
  rightOf,
  signedArea,
} from "../../geometry";
import { type OutlineEdgeOnPlan, outlineOf } from "../../parts/walkedOutline";
import type { Nanometres } from "../../units";
import type { Plate, PlateEdge, Rib } from "./schema";

/** A beam on plan: where it lies, how deep it is from the top of the slab, and the run its steel goes along. */
export type BeamOnPlan = {
  readonly id: string;
  readonly name: string;
  readonly rings: readonly Polygon[];
  readonly widthNm: Nanometres;
  readonly depthNm: Nanometres;
  /** Of its steel: the outside of an edge beam, the clear run of a rib. */
  readonly run: { readonly from: Point; readonly to: Point };
  /** A rib's bars go on into the edge beams at both ends, so far. */
  readonly intoNm: Nanometres;
};

export type PlateShape = {
  readonly polygon: Polygon;
  readonly edges: readonly OutlineEdgeOnPlan<PlateEdge>[];
  /** What lies within the edge beams; all of it where there are none. */
  readonly inner: Polygon;
  readonly edgeBeams: readonly BeamOnPlan[];
  readonly ribs: readonly BeamOnPlan[];
  /** Along edges that have one: the foot outside the edge. */
  readonly toes: readonly {
    readonly edgeId: string;
    readonly ring: Polygon;
    readonly from: Point;
    readonly to: Point;
  }[];
  /** Outline with its toes: what everything beneath lies under. */
  readonly outside: readonly OutsideEdge[];
  /** Within the edges, where no beam is. */
  readonly field: readonly Polygon[];
  /** Edge beams are so wide that they meet. */
  readonly beamsMeet: boolean;
  /** Pairs of ribs that lie in each other along their run. */
  readonly overlapping: readonly (readonly [Rib, Rib])[];
};

/** The line that the dig goes round, edge by edge. */
export type OutsideEdge = { readonly edgeId: string; readonly from: Point; readonly to: Point };

const letterName = (edges: readonly PlateEdge[], id: string): string =>
  `Beam ${String.fromCharCode(65 + (edges.findIndex((edge) => edge.id === id) % 26))}`;

const at = (nm: Nanometres | null): Nanometres => Math.max(0, nm ?? 0);

/** Edges moved in or out, each by its own distance, with square corners mitred. */
function moved(edges: readonly OutlineEdgeOnPlan<PlateEdge>[], by: (edge: PlateEdge) => Nanometres, out: boolean) {
  return offsetEdges(
    edges.map(({ edge, from, to }) => {
      const heading = headingFrom(from, to) ?? { x: 1, y: 0 };
      return { from, to, outward: out ? rightOf(heading) : leftOf(heading), byNm: by(edge) };
    }),
  );
}

const sameWay = (a: { from: Point; to: Point }, b: { from: Point; to: Point }): boolean => {
  const [along, other] = [headingFrom(a.from, a.to), headingFrom(b.from, b.to)];
  return along !== undefined && other !== undefined && along.x * other.x + along.y * other.y > 0;
};

/** Whether every edge moved in is still there, and what they enclose is the right way round. */
function standsInside(
  edges: readonly OutlineEdgeOnPlan<PlateEdge>[],
  inner: readonly { from: Point; to: Point }[],
): boolean {
  return (
    edges.every((edge, index) => {
      const moved = inner[index];
      return moved !== undefined && sameWay(edge, moved);
    }) && signedArea(inner.map(({ from }) => from)) > 0
  );
}

type Ribbed = { readonly rib: Rib; readonly beam: BeamOnPlan; readonly whole: Polygon };

/** A band across the whole extent, clipped to what lies within the edge beams. */
function ribsOf(plate: Plate, inner: Polygon, polygon: Polygon, edgeNm: Nanometres, inwards: 1 | -1): Ribbed[] {
  const within = boundsOf(inner);
  const whole = boundsOf(polygon);
  if (!within || !whole) return [];
  return plate.ribs.flatMap((rib, index): Ribbed[] => {
    const alike = plate.ribs.filter(({ runs, at: place }) => runs === rib.runs && place.valueNm === null);
    const along = rib.runs === "along";
    const [from, to] = along ? [within.min.yNm, within.max.yNm] : [within.min.xNm, within.max.xNm];
    const nth = alike.indexOf(rib) + 1;
    const evenNm = from + Math.round(((to - from) * nth) / (alike.length + 1));
    // From Edge A, which is the lower or the upper one as the outline was walked.
    const fromEdgeA = inwards === 1 ? whole.min.yNm + (rib.at.valueNm ?? 0) : whole.max.yNm - (rib.at.valueNm ?? 0);
    const placedNm = along ? fromEdgeA : whole.min.xNm + (rib.at.valueNm ?? 0);
    const middleNm = rib.at.valueNm === null ? evenNm : placedNm;
    const widthNm = at(rib.width.valueNm);
    const [low, high] = [middleNm - Math.round(widthNm / 2), middleNm + widthNm - Math.round(widthNm / 2)];
    const band: Polygon = along
      ? rectangle(within.min.xNm, low, within.max.xNm, high)
      : rectangle(low, within.min.yNm, high, within.max.yNm);
    // Over an outline with arms a band lies in several of them: each is a beam of its own.
    return overlapRings(inner, band)
      .filter((ring) => signedArea(ring) > 0)
      .flatMap((ring, part): Ribbed[] => {
        const extent = boundsOf(ring);
        if (!extent) return [];
        const run = along
          ? { from: { xNm: extent.min.xNm, yNm: middleNm }, to: { xNm: extent.max.xNm, yNm: middleNm } }
          : { from: { xNm: middleNm, yNm: extent.min.yNm }, to: { xNm: middleNm, yNm: extent.max.yNm } };
        const beam: BeamOnPlan = {
          id: part === 0 ? rib.id : `${rib.id}-${part + 1}`,
          name: `Rib ${index + 1}`,
          rings: [ring],
          widthNm,
          depthNm: at(rib.depth.valueNm),
          run,
          intoNm: edgeNm,
        };
        return [{ rib, beam, whole: ring }];
      });
  });
}

const rectangle = (x0: number, y0: number, x1: number, y1: number): Polygon => [
  { xNm: x0, yNm: y0 },
  { xNm: x1, yNm: y0 },
  { xNm: x1, yNm: y1 },
  { xNm: x0, yNm: y1 },
];

/** Each rib without what deeper ones already are: nothing is twice where they cross. */
function apart(ribs: readonly Ribbed[]): BeamOnPlan[] {
  const deepest = ribs.toSorted((a, b) => b.beam.depthNm - a.beam.depthNm);
  const taken: Polygon[] = [];
  const rings = new Map<string, readonly Polygon[]>();
  for (const { beam, whole } of deepest) {
    rings.set(beam.id, differenceRings(whole, taken));
    taken.push(whole);
  }
  return ribs.map(({ beam }) => ({ ...beam, rings: rings.get(beam.id) ?? [] }));
}

/** Ribs of one run that lie in each other. Those that cross do so once, and are meant to. */
function overlappingRibs(ribs: readonly Ribbed[]): (readonly [Rib, Rib])[] {
  return ribs.flatMap((a, index) =>
    ribs
      .slice(index + 1)
      .filter((b) => a.rib !== b.rib && a.rib.runs === b.rib.runs && overlapRings(a.whole, b.whole).length > 0)
      .map((b) => [a.rib, b.rib] as const),
  );
}

function toesOf(plate: Plate, edges: readonly OutlineEdgeOnPlan<PlateEdge>[]) {
  const toeNm = at(plate.toeWidth.valueNm);
  const has = (edge: PlateEdge): boolean => plate.edgeForm === "toe" && edge.toe && toeNm > 0;
  const outer = moved(edges, (edge) => (has(edge) ? toeNm : 0), true);
  const outside = edges.map(({ edge, from, to }, index): OutsideEdge => {
    return { edgeId: edge.id, ...(outer[index] ?? { from, to }) };
  });
  const toes = edges.flatMap(({ edge, from, to }, index) => {
    const line = outer[index];
    return has(edge) && line ? [{ edgeId: edge.id, ring: [from, line.from, line.to, to], ...line }] : [];
  });
  return { toes, outside };
}

const shapes = new WeakMap<Plate, PlateShape | undefined>();

/** What a plate is on plan; undefined while its outline does not close. */
export function plateShape(plate: Plate): PlateShape | undefined {
  if (shapes.has(plate)) return shapes.get(plate);
  const shape = shapeOf(plate);
  shapes.set(plate, shape);
  return shape;
}

function shapeOf(plate: Plate): PlateShape | undefined {
  const outline = outlineOf(plate.edges);
  if (!outline.ok) return undefined;
  const { edges, polygon } = outline;
  const beamNm = plate.edgeForm === "plain" ? 0 : at(plate.beamWidth.valueNm);
  const innerEdges = moved(edges, () => beamNm, false);
  const beamsMeet = beamNm > 0 && !standsInside(edges, innerEdges);
  const inner = beamsMeet ? [] : beamNm === 0 ? polygon : innerEdges.map(({ from }) => from);
  const depthNm = at(plate.beamDepth.valueNm);
  const edgeBeams =
    beamNm === 0
      ? []
      : edges.map(({ edge, from, to }, index): BeamOnPlan => {
          const line = innerEdges[index] ?? { from, to };
          // Where they meet all is beam: the first has the whole of it, so that it is counted once.
          const rings = beamsMeet ? (index === 0 ? [polygon] : []) : [[from, to, line.to, line.from]];
          const name = letterName(plate.edges, edge.id);
          return { id: edge.id, name, rings, widthNm: beamNm, depthNm, run: { from, to }, intoNm: 0 };
        });
  const ribs = inner.length === 0 ? [] : ribsOf(plate, inner, polygon, beamNm, outline.inwards);
  const whole = ribs.map((each) => each.whole);
  return {
    polygon,
    edges,
    inner,
    edgeBeams,
    ribs: apart(ribs),
    ...toesOf(plate, edges),
    field: inner.length === 0 ? [] : differenceRings(inner, whole).filter((ring) => signedArea(ring) > 0),
    beamsMeet,
    overlapping: overlappingRibs(ribs),
  };
}

/** The length of a run, in whole nanometres. */
export const runLengthNm = ({ from, to }: { readonly from: Point; readonly to: Point }): Nanometres =>
  Math.round(Math.hypot(to.xNm - from.xNm, to.yNm - from.yNm));

/** Which way a run goes; along the page where it is of no length. */
export const runHeading = ({ from, to }: { readonly from: Point; readonly to: Point }) =>
  headingFrom(from, to) ?? { x: 1, y: 0 };

/** How far along a heading a plate reaches, both ways. */
export const reachAlong = (polygon: Polygon, heading: { readonly x: number; readonly y: number }) => {
  const places = polygon.map((point) => dot(point, heading));
  return { fromNm: Math.min(...places), toNm: Math.max(...places) };
};
