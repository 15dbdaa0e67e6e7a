import type { Polygon } from "../../geometry";
import type { FormFace, SkeletonFailure, XY, XYZ } from "../../geometry/skeleton";
import type { FeatureKind, RoofFeature } from "./features/schema";
import type { PlainSide, RoofSide, SideKind } from "./overhang";

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

/** Where a lower roof runs up over a slope: its boards and rafters go on below, its covering does not. */
export type Covered = { readonly by: string; readonly rings: readonly Polygon[]; readonly planAreaM2: number };

/** One plane of the roof. Places are in millimetres on the roof's own plan, heights above the plate. */
export type RoofFace = {
  readonly id: string;
  readonly edgeId: string;
  readonly form: FormFace;
  /** Rise over run. */
  readonly pitch: number;
  /** On the line of the walls, against the clock. */
  readonly wallSides: readonly PlainSide[];
  /** Carried out over the overhangs: one ring, where the wall line of a slope that was cut may be several. */
  readonly sides: readonly RoofSide[];
  readonly holes: readonly Hole[];
  readonly carried: readonly Carried[];
  readonly covered: readonly Covered[];
  /** Of a slope of a dormer: the feature; its plate stands over the roof's. */
  readonly dormerId?: string;
  /** Of what is covered by it. */
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
  readonly cutBy?: string;
};

/** A feature on the slope it lies in. Millimetres: `u` along the eave from the edge's left end, `d` level in from the wall line. */
export type PlacedFeature = {
  readonly feature: RoofFeature;
  readonly face: RoofFace;
  readonly fromU: number;
  readonly toU: number;
  readonly fromD: number;
  readonly toD: number;
  /** Of a dormer. */
  readonly wallMm: number;
  readonly pitch: number;
  /** From its own axes to the roof's plan. */
  readonly at: (u: number, d: number) => XY;
};

export type RoofForm = {
  readonly faces: readonly RoofFace[];
  readonly standing: readonly StandingFace[];
  readonly lines: readonly RoofLine[];
  /** What lies level at the top, where the roof ends in a flat. */
  readonly flats: readonly (readonly XYZ[])[];
  readonly flatAreaM2: number;
  readonly outlineAreaM2: number;
  readonly highestMm: number;
  /** What is put into its slopes, where it lies. */
  readonly features: readonly PlacedFeature[];
  /** What meeting other roofs did to it. */
  readonly met: MetOthers;
};

/** What is to be told of a roof that meets others: named by what they are called. */
export type MetOthers = {
  /** Edges that run into another roof, and there is none beyond them. */
  readonly intoNothing: readonly string[];
  /** Edges that come out of what they run into, being higher. */
  readonly standingOut: readonly string[];
  /** Features of the roof that are cut, whole or in part. */
  readonly lostFeatures: readonly string[];
  /** Rooms above whose ceilings are over some of it and under the rest: they do not cut it. */
  readonly partlyThrough: readonly string[];
};
export const MET_NOTHING: MetOthers = { intoNothing: [], standingOut: [], lostFeatures: [], partlyThrough: [] };

export type FormFailure = SkeletonFailure | "unmeasured" | "outline" | "failed-check" | "cut-away";
export type Formed = { readonly ok: true; readonly form: RoofForm } | { readonly ok: false; readonly why: FormFailure };
