import type { Point } from "../../geometry";
import {
  type FaceSide,
  type FormFace,
  type RisingEdge,
  type SkeletonFailure,
  type SlopeStep,
  straightSkeleton,
  type XY,
  type XYZ,
} from "../../geometry/skeleton";
import { type Nanometres, NM_PER_MM } from "../../units";
import { withFeatures } from "./features/apply";
import { type PlacedFeature, wholeFeatures } from "./features/place";
import type { FeatureKind } from "./features/schema";
import { outlineOfRoof, type PlacedEdge, slopeOf } from "./outline";
import { carriedOut, heightOn, type PlainSide, type RoofSide, type SideKind } from "./overhang";
import type { Roof } from "./schema";

/** What a feature takes out of a slope: a ring on it, against the clock. Trimmers lie at its sides, headers across it. */
export type Hole = {
  readonly featureId: string;
  readonly kind: FeatureKind;
  readonly ring: readonly PlainSide[];
  readonly planAreaM2: number;
  readonly widthMm: number;
};

/** A stretch that an eave comes further down over. */
export type Carried = { readonly ring: readonly PlainSide[]; readonly planAreaM2: number };

/** One plane of the roof. Places are in millimetres on the roof's own plan, heights above the plate. */
export type RoofFace = {
  readonly id: string;
  readonly edgeId: string;
  readonly form: FormFace;
  /** Rise over run. */
  readonly pitch: number;
  /** On the line of the walls, against the clock. */
  readonly wallSides: readonly PlainSide[];
  /** Carried out over the overhangs. */
  readonly sides: readonly RoofSide[];
  readonly holes: readonly Hole[];
  readonly carried: readonly Carried[];
  /** Of a slope of a dormer: the feature; its plate stands over the roof's. */
  readonly dormerId?: string;
  readonly planAreaM2: number;
  /** Along the slope. */
  readonly areaM2: number;
};

/** An upright triangle or other end that stands on an edge: a gable. */
export type StandingFace = {
  readonly id: string;
  readonly edgeId: string;
  readonly form: FormFace;
  readonly areaM2: number;
  readonly dormerId?: string;
};

/** A line in which faces meet or end. */
export type RoofLine = {
  readonly id: string;
  readonly kind: SideKind;
  readonly from: XYZ;
  readonly to: XYZ;
  readonly faceIds: readonly string[];
  readonly planMm: number;
  readonly lengthMm: number;
};

export type RoofForm = {
  readonly faces: readonly RoofFace[];
  readonly standing: readonly StandingFace[];
  readonly lines: readonly RoofLine[];
  /** What lies level at the top, where the roof ends in a flat. */
  readonly flatAreaM2: number;
  readonly outlineAreaM2: number;
  readonly highestMm: number;
  /** What is put into its slopes, where it lies. */
  readonly features: readonly PlacedFeature[];
};

export type FormFailure = SkeletonFailure | "unmeasured" | "outline" | "failed-check";
export type Formed = { readonly ok: true; readonly form: RoofForm } | { readonly ok: false; readonly why: FormFailure };

export const toMm = (nm: Nanometres): number => nm / NM_PER_MM;
const xyOf = ({ xNm, yNm }: Point): XY => [toMm(xNm), toMm(yNm)];
const MM2_PER_M2 = 1e6;

/** An edge's slopes from the plate up: nothing where it stands. */
function stepsOf(roof: Roof, { edge }: PlacedEdge): RisingEdge["steps"] {
  const { pitch } = slopeOf(roof, edge);
  const stands: SlopeStep = { fromHeightMm: 0, runPerRise: 0 };
  const from = edge.end === "half-hip" ? toMm(edge.hipFrom.valueNm ?? 0) : 0;
  if (edge.end !== "eave" && edge.end !== "half-hip") return [stands];
  const slopes: SlopeStep[] = [{ fromHeightMm: from, runPerRise: 1 / pitch }];
  const { breakHeight, upperPitch } = roof;
  if (breakHeight.valueNm !== null && upperPitch.value) {
    const upper = { fromHeightMm: toMm(breakHeight.valueNm), runPerRise: 1 / upperPitch.value };
    if (upper.fromHeightMm <= from) slopes[0] = { ...upper, fromHeightMm: from };
    else slopes.push(upper);
  }
  const [first, ...rest] = slopes;
  return first && first.fromHeightMm <= 0 ? [{ ...first, fromHeightMm: 0 }, ...rest] : [stands, ...slopes];
}

const known = new WeakMap<Roof["edges"], { readonly roof: Roof; readonly formed: Formed }>();

const FORMING = [
  "pitch",
  "overhang",
  "rakeOverhang",
  "overhangMeasured",
  "breakHeight",
  "upperPitch",
  "flatHeight",
  "features",
] as const;

/** The form of a roof, or why it has none. The same figures give the same object. */
export function formOf(roof: Roof): Formed {
  const before = known.get(roof.edges);
  if (before && FORMING.every((name) => before.roof[name] === roof[name])) return before.formed;
  const formed = makeForm(roof);
  known.set(roof.edges, { roof, formed });
  return formed;
}

function makeForm(roof: Roof): Formed {
  const outline = outlineOfRoof(roof);
  if (!outline.ok) return { ok: false, why: outline.why === "unmeasured" ? "unmeasured" : "outline" };
  if (roof.pitch.value === null && outline.edges.some(({ edge }) => edge.end === "eave" && edge.pitch.value === null))
    return { ok: false, why: "unmeasured" };
  const rising = outline.edges.map((placed): RisingEdge => {
    return { from: xyOf(placed.from), to: xyOf(placed.to), steps: stepsOf(roof, placed) };
  });
  const flatAt = roof.flatHeight.valueNm === null ? undefined : toMm(roof.flatHeight.valueNm);
  const skeleton = straightSkeleton([rising], flatAt);
  if (!skeleton.ok) return { ok: false, why: skeleton.why };
  const form = assembled(roof, outline.edges, skeleton.faces, skeleton.flats);
  if (!isSound(form)) return { ok: false, why: "failed-check" };
  return { ok: true, form: roof.features.length === 0 ? form : featured(roof, form, outline.edges) };
}

/** With dormers, openings and the like in its slopes, and its lines as they then are. */
function featured(roof: Roof, form: RoofForm, edges: readonly PlacedEdge[]): RoofForm {
  const edgeFrom = new Map(edges.map(({ edge, from }) => [edge.id, xyOf(from)]));
  const overhangOf = (edgeId: string) => {
    const edge = roof.edges.find(({ id }) => id === edgeId);
    return edge ? toMm(slopeOf(roof, edge).overhangNm) : 0;
  };
  const { faces, standing, placed } = withFeatures(form, wholeFeatures(roof), edgeFrom, {
    eaveMm: toMm(roof.overhang.valueNm ?? 0),
    rakeMm: toMm(roof.rakeOverhang.valueNm ?? 0),
    ofEdge: overhangOf,
  });
  return { ...form, faces, standing, lines: linesOf(faces), features: placed };
}

const planArea = (places: readonly XYZ[]): number =>
  places.reduce((sum, [x, y], index) => {
    const [nextX, nextY] = places[(index + 1) % places.length] ?? [0, 0];
    return sum + (x * nextY - nextX * y) / 2;
  }, 0) / MM2_PER_M2;

const areaOfSides = (sides: readonly { readonly from: XYZ }[]): number => planArea(sides.map(({ from }) => from));

/** What a side is, seen from the face it bounds. */
function kindOfSide(
  face: FormFace,
  side: FaceSide,
  beyond: FormFace | undefined,
  edges: readonly PlacedEdge[],
): SideKind {
  const level = Math.abs(side.to[2] - side.from[2]) < 0.1;
  if (!beyond) return side.from[2] < 0.1 && level ? "eave" : "flat";
  if (beyond.line.runPerRise === 0) {
    const end = beyond.cheek ? "cheek" : edges[beyond.line.edge]?.edge.end;
    if (end === "cheek") return "cheek";
    if (end === "wall") return level ? "wall-top" : "wall-side";
    // The foot of a half-hip over its gable is an eave, carried out as far as the rakes beside it.
    if (end === "open") return "open";
    return level ? "eave" : "rake";
  }
  if (beyond.line.edge === face.line.edge) return level ? "break" : "seam";
  const middle: XY = [(side.from[0] + side.to[0]) / 2, (side.from[1] + side.to[1]) / 2];
  const length = Math.hypot(side.to[0] - side.from[0], side.to[1] - side.from[1]) || 1;
  // A step into the face, which lies on the left.
  const within: XY = [
    middle[0] - (side.to[1] - side.from[1]) / length,
    middle[1] + (side.to[0] - side.from[0]) / length,
  ];
  const lower = heightOn(face, within) - heightOn(beyond, within);
  if (Math.abs(lower) < 1e-6) return "seam";
  if (lower < 0) return level ? "ridge" : "hip";
  return "valley";
}

function assembled(
  roof: Roof,
  edges: readonly PlacedEdge[],
  all: readonly FormFace[],
  flats: readonly (readonly XYZ[])[],
): RoofForm {
  const byIndex = new Map(all.map((face) => [face.index, face]));
  const sloping = all.filter((face) => face.line.runPerRise > 0);
  const overhangMm = (edge: number): number => {
    const placed = edges[edge];
    return placed ? toMm(slopeOf(roof, placed.edge).overhangNm) : 0;
  };
  const outMm = (face: FormFace, side: FaceSide): number => {
    const beyond = byIndex.get(side.against);
    const kind = kindOfSide(face, side, beyond, edges);
    if (kind === "eave") return overhangMm(beyond ? beyond.line.edge : face.line.edge);
    return kind === "rake" && beyond ? overhangMm(beyond.line.edge) : 0;
  };
  const meets = (side: FaceSide, [x, y, z]: XYZ): boolean =>
    [side.from, side.to].some((end) => Math.hypot(end[0] - x, end[1] - y, end[2] - z) < 0.01);
  const outerBeside = (against: number, corner: XYZ) => {
    const beyond = byIndex.get(against);
    if (!beyond || beyond.line.runPerRise === 0) return undefined;
    const side = beyond.rings.flat().find((each) => meets(each, corner) && outMm(beyond, each) > 0);
    return side && { side, outMm: outMm(beyond, side) };
  };
  const idOf = (face: FormFace, ring: number): string => {
    const edge = edges[face.line.edge]?.edge.id ?? "edge";
    const step = face.cheek ? "/cheek" : face.step === 0 ? "" : `/${face.step + 1}`;
    return `${edge}${step}${ring === 0 ? "" : `.${ring + 1}`}`;
  };
  const faces = sloping.flatMap((face) =>
    face.rings.map((ring, index): RoofFace => {
      const wallSides = ring.map((side) => ({
        ...side,
        kind: kindOfSide(face, side, byIndex.get(side.against), edges),
      }));
      const sides = carriedOut(face, wallSides, (side) => outMm(face, side), outerBeside);
      const planAreaM2 = areaOfSides(sides);
      const pitch = 1 / face.line.runPerRise;
      return {
        id: idOf(face, index),
        edgeId: edges[face.line.edge]?.edge.id ?? "",
        form: face,
        pitch,
        wallSides,
        sides,
        holes: [],
        carried: [],
        planAreaM2,
        areaM2: planAreaM2 * Math.hypot(1, pitch),
      };
    }),
  );
  const standing = all
    .filter((face) => face.line.runPerRise === 0)
    .map((face): StandingFace => {
      const { along } = face.line;
      const areaMm2 = face.rings.reduce(
        (sum, ring) =>
          sum +
          ring.reduce((area, { from, to }) => {
            const [a, b] = [from, to].map(([x, y, z]) => [along[0] * x + along[1] * y, z] as const);
            return a && b ? area + (a[0] * b[1] - b[0] * a[1]) / 2 : area;
          }, 0),
        0,
      );
      return {
        id: idOf(face, 0),
        edgeId: edges[face.line.edge]?.edge.id ?? "",
        form: face,
        areaM2: areaMm2 / MM2_PER_M2,
      };
    });
  const top = all.flatMap((face) => face.rings.flat().map(({ from }) => from[2]));
  return {
    faces,
    standing,
    lines: linesOf(faces),
    flatAreaM2: flats.reduce((sum, ring) => sum + planArea(ring), 0),
    outlineAreaM2: planArea(edges.map(({ from }) => [...xyOf(from), 0])),
    highestMm: top.reduce((a, b) => Math.max(a, b), 0),
    features: [],
  };
}

/** Every line once: where two faces share one, as the first of them has it. */
function linesOf(faces: readonly RoofFace[]): RoofLine[] {
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
        const faceIds = [face.id, ...(beyond ? [beyond.id] : [])];
        return [{ id: `${kind}-${nth}`, kind, from, to, faceIds, planMm, lengthMm }];
      },
    ),
  );
}

/** The check every form passes before it is shown: its faces tile the outline, and each lies in its plane. */
function isSound({ faces, flatAreaM2, outlineAreaM2 }: RoofForm): boolean {
  const tiled = faces.reduce((sum, face) => sum + areaOfSides(face.wallSides), flatAreaM2);
  const flat = faces.every((face) =>
    face.wallSides.every(({ from }) => Math.abs(heightOn(face.form, [from[0], from[1]]) - from[2]) < 0.5),
  );
  return flat && Math.abs(tiled - outlineAreaM2) <= 1e-6 * outlineAreaM2 + 1e-6;
}
