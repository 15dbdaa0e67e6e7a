import type { FaceSide, FormFace, XY, XYZ } from "../../geometry/skeleton";
import { NM_PER_MM } from "../../units";
import { MET_NOTHING, type RoofFace, type RoofForm, type RoofLine, type StandingFace } from "./formTypes";
import { type RoofEdgeOnPlan, slopeOf } from "./outline";
import { carriedOut, heightOn, type SideKind } from "./overhang";
import type { Roof } from "./schema";

const MM2_PER_M2 = 1e6;

const planArea = (places: readonly XYZ[]): number =>
  places.reduce((sum, [x, y], index) => {
    const [nextX, nextY] = places[(index + 1) % places.length] ?? [0, 0];
    return sum + (x * nextY - nextX * y) / 2;
  }, 0) / MM2_PER_M2;

/** On plan, square metres. */
export const areaOfSides = (sides: readonly { readonly from: XYZ }[]): number =>
  planArea(sides.map(({ from }) => from));

/** A ridge board is set level: one that would rise by less than half an inch, or an inch in 25 ft, is a ridge (common practice). */
const MOST_RISE_MM = 12.7;
const MOST_RISE = 1 / 300;

function isRidge({ from, to }: FaceSide): boolean {
  const riseMm = Math.abs(to[2] - from[2]);
  const planMm = Math.hypot(to[0] - from[0], to[1] - from[1]);
  return riseMm < 0.1 || (riseMm < MOST_RISE_MM && riseMm < MOST_RISE * planMm);
}

/** A step into a face from a side of it, which it has on its left. */
function withinOf({ from, to }: FaceSide): XY {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  return [(from[0] + to[0]) / 2 - (to[1] - from[1]) / length, (from[1] + to[1]) / 2 + (to[0] - from[0]) / length];
}

/** Whether a face goes up from a level side of it: from the high edge of a lean-to that stands free it goes down. */
const risesFrom = (face: FormFace, side: FaceSide): boolean => heightOn(face, withinOf(side)) > side.from[2];

/** What a side is, seen from the face it bounds. */
function kindOfSide(
  face: FormFace,
  side: FaceSide,
  beyond: FormFace | undefined,
  edges: readonly RoofEdgeOnPlan[],
): SideKind {
  const level = Math.abs(side.to[2] - side.from[2]) < 0.1;
  if (!beyond) return side.from[2] < 0.1 && level ? "eave" : "flat";
  if (beyond.line.runPerRise === 0) {
    const end = beyond.cheek ? "cheek" : edges[beyond.line.edge]?.edge.end;
    if (end === "cheek") return "cheek";
    if (end === "wall") return level ? "wall-top" : "wall-side";
    // The foot of a half-hip over its gable is an eave, carried out as far as the rakes beside it.
    if (end === "open" || end === "roof") return "open";
    return level && risesFrom(face, side) ? "eave" : "rake";
  }
  if (beyond.line.edge === face.line.edge) return level ? "break" : "seam";
  const within = withinOf(side);
  const lower = heightOn(face, within) - heightOn(beyond, within);
  if (Math.abs(lower) < 1e-6) return "seam";
  if (lower < 0) return isRidge(side) ? "ridge" : "hip";
  return "valley";
}

type Sides = {
  readonly kindOf: (face: FormFace, side: FaceSide) => SideKind;
  /** How far a side goes out beyond the wall line. */
  readonly outMm: (face: FormFace, side: FaceSide) => number;
  /** The side of a face beyond that meets a corner and goes out too. */
  readonly outerBeside: (
    against: number,
    corner: XYZ,
  ) => { readonly side: FaceSide; readonly outMm: number } | undefined;
};

const meets = (side: FaceSide, [x, y, z]: XYZ): boolean =>
  [side.from, side.to].some((end) => Math.hypot(end[0] - x, end[1] - y, end[2] - z) < 0.01);

/** What is known of sides once all faces are there. */
function sidesAmong(roof: Roof, edges: readonly RoofEdgeOnPlan[], all: readonly FormFace[]): Sides {
  const byIndex = new Map(all.map((face) => [face.index, face]));
  const overhangMm = (edge: number): number => {
    const placed = edges[edge];
    return placed ? slopeOf(roof, placed.edge).overhangNm / NM_PER_MM : 0;
  };
  const kindOf = (face: FormFace, side: FaceSide) => kindOfSide(face, side, byIndex.get(side.against), edges);
  const outMm = (face: FormFace, side: FaceSide): number => {
    const beyond = byIndex.get(side.against);
    const kind = kindOf(face, side);
    if (kind === "eave") return overhangMm(beyond ? beyond.line.edge : face.line.edge);
    return kind === "rake" && beyond ? overhangMm(beyond.line.edge) : 0;
  };
  const outerBeside = (against: number, corner: XYZ) => {
    const beyond = byIndex.get(against);
    if (!beyond || beyond.line.runPerRise === 0) return undefined;
    const side = beyond.rings.flat().find((each) => meets(each, corner) && outMm(beyond, each) > 0);
    return side && { side, outMm: outMm(beyond, side) };
  };
  return { kindOf, outMm, outerBeside };
}

const edgeIdOf = (face: FormFace, edges: readonly RoofEdgeOnPlan[]): string => edges[face.line.edge]?.edge.id ?? "";

/** `a`, `a/2` for its second step, `a.2` for a second part of it. */
function idOf(face: FormFace, ring: number, edges: readonly RoofEdgeOnPlan[]): string {
  const step = face.cheek ? "/cheek" : face.step === 0 ? "" : `/${face.step + 1}`;
  return `${edgeIdOf(face, edges)}${step}${ring === 0 ? "" : `.${ring + 1}`}`;
}

function slopesOf(face: FormFace, edges: readonly RoofEdgeOnPlan[], { kindOf, outMm, outerBeside }: Sides): RoofFace[] {
  const pitch = 1 / face.line.runPerRise;
  return face.rings.map((ring, index): RoofFace => {
    const wallSides = ring.map((side) => ({ ...side, kind: kindOf(face, side) }));
    const sides = carriedOut(face, wallSides, (side) => outMm(face, side), outerBeside);
    const planAreaM2 = areaOfSides(sides);
    return {
      id: idOf(face, index, edges),
      edgeId: edgeIdOf(face, edges),
      form: face,
      pitch,
      wallSides,
      sides,
      holes: [],
      carried: [],
      covered: [],
      planAreaM2,
      areaM2: planAreaM2 * Math.hypot(1, pitch),
    };
  });
}

function standingOf(face: FormFace, edges: readonly RoofEdgeOnPlan[]): StandingFace {
  const { along } = face.line;
  const areaMm2 = face.rings.flat().reduce((area, { from, to }) => {
    const [a, b] = [from, to].map(([x, y, z]) => [along[0] * x + along[1] * y, z] as const);
    return a && b ? area + (a[0] * b[1] - b[0] * a[1]) / 2 : area;
  }, 0);
  return { id: idOf(face, 0, edges), edgeId: edgeIdOf(face, edges), form: face, areaM2: areaMm2 / MM2_PER_M2 };
}

/** The faces of a skeleton as slopes and gables of a roof, the slopes carried down over its overhangs; the outline first, then courtyards. */
export function assembleForm(
  roof: Roof,
  loops: readonly (readonly RoofEdgeOnPlan[])[],
  all: readonly FormFace[],
  flats: readonly (readonly XYZ[])[],
): RoofForm {
  const edges = loops.flat();
  const sides = sidesAmong(roof, edges, all);
  const faces = all.filter((face) => face.line.runPerRise > 0).flatMap((face) => slopesOf(face, edges, sides));
  const top = all.flatMap((face) => face.rings.flat().map(({ from }) => from[2]));
  return {
    faces,
    standing: all.filter((face) => face.line.runPerRise === 0).map((face) => standingOf(face, edges)),
    lines: linesOf(faces),
    flats,
    flatAreaM2: flats.reduce((sum, ring) => sum + planArea(ring), 0),
    // A courtyard goes with the clock: it takes itself off.
    outlineAreaM2: loops.reduce(
      (sum, loop) => sum + planArea(loop.map(({ from }) => [from.xNm / NM_PER_MM, from.yNm / NM_PER_MM, 0])),
      0,
    ),
    highestMm: top.reduce((a, b) => Math.max(a, b), 0),
    features: [],
    met: MET_NOTHING,
  };
}

const apart = ([ax, ay, az]: XYZ, [bx, by, bz]: XYZ): number => Math.hypot(ax - bx, ay - by, az - bz);

/** From where to where two lines go that are one; nothing for two that are not. */
function endsOf(a: RoofLine, b: RoofLine): readonly [XYZ, XYZ] | undefined {
  if (a.kind !== b.kind) return undefined;
  const ends =
    apart(a.to, b.from) < 1
      ? ([a.from, b.to] as const)
      : apart(a.from, b.to) < 1
        ? ([b.from, a.to] as const)
        : undefined;
  const straight = ends && Math.abs(apart(...ends) - a.lengthMm - b.lengthMm) < 0.01;
  return straight ? ends : undefined;
}

/** Lines of a kind that go on in one line are one: a ridge over two eaves is one board, and the gutter under it one run. */
export function joinedLines(lines: readonly RoofLine[], kind: SideKind): RoofLine[] {
  const joined: RoofLine[] = [];
  for (const line of lines) {
    const before = line.kind === kind ? joined.findIndex((each) => endsOf(each, line) !== undefined) : -1;
    const first = joined[before];
    const ends = first && endsOf(first, line);
    if (!ends) {
      joined.push(line);
      continue;
    }
    joined[before] = {
      ...first,
      from: ends[0],
      to: ends[1],
      faceIds: [...new Set([...first.faceIds, ...line.faceIds])],
      planMm: first.planMm + line.planMm,
      lengthMm: first.lengthMm + line.lengthMm,
    };
  }
  return joined;
}

/** Every line once: where two faces share one, as the first of them has it. */
export function linesOf(faces: readonly RoofFace[]): RoofLine[] {
  return joinedLines(linesBetween(faces), "ridge");
}

function linesBetween(faces: readonly RoofFace[]): RoofLine[] {
  const counts = new Map<SideKind, number>();
  return faces.flatMap((face) =>
    [...face.sides, ...face.carried.flatMap(({ ring }) => ring.filter(({ kind }) => kind === "rake"))].flatMap(
      (side): RoofLine[] => {
        const beyond = faces.find((each) => each.form.index === side.against);
        if (side.kind === "seam" || (beyond && beyond.form.index < face.form.index)) return [];
        const planMm = Math.hypot(side.to[0] - side.from[0], side.to[1] - side.from[1]);
        const lengthMm = Math.hypot(planMm, side.to[2] - side.from[2]);
        if (lengthMm < 0.5) return [];
        const nth = (counts.get(side.kind) ?? 0) + 1;
        counts.set(side.kind, nth);
        const { from, to, kind } = side;
        const cut = side.cutBy === undefined ? {} : { cutBy: side.cutBy };
        const faceIds = [face.id, ...(beyond ? [beyond.id] : [])];
        return [{ id: `${kind}-${nth}`, kind, from, to, faceIds, planMm, lengthMm, ...cut }];
      },
    ),
  );
}
