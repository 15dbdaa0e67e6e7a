import { z } from "zod";
import { dimensionSchema } from "../../../parts/dimension";
import { figureSchema } from "../../../parts/figure";

/** What can be put into a slope. An eave that is `carried` comes further down over a stretch. */
export const FEATURE_KINDS = [
  "gable-dormer",
  "shed-dormer",
  "roof-window",
  "chimney",
  "notch",
  "carried-eave",
] as const;
export type FeatureKind = (typeof FEATURE_KINDS)[number];

export const MOST_FEATURES = 40;

/** Something in the slope over an edge, by its figures. Which of them it has follows from its kind (`FEATURE_FIGURES`). */
export const roofFeatureSchema = z.object({
  id: z.string().min(1).max(40),
  kind: z.enum(FEATURE_KINDS),
  name: z.string().max(120),
  edgeId: z.string().min(1).max(40),
  /** From the left end of the edge, seen from outside, to its near side. */
  along: dimensionSchema,
  width: dimensionSchema,
  /** Up from the wall line: along the slope for a roof window, level for all else. */
  back: dimensionSchema,
  /** As `back` is measured: how far it reaches. */
  depth: dimensionSchema,
  /** Of a dormer: its front wall over the slope it stands on. */
  wallHeight: dimensionSchema,
  /** Of a dormer, rise over run. */
  pitch: figureSchema,
});
export type RoofFeature = z.infer<typeof roofFeatureSchema>;

export type FeatureLength = "along" | "width" | "back" | "depth" | "wallHeight";

type FeatureFigures = {
  /** What one is called until somebody names it. */
  readonly noun: string;
  readonly lengths: readonly (readonly [FeatureLength, string])[];
  readonly hasPitch: boolean;
};

const ALONG = ["along", "From the left end of the edge, seen from outside"] as const;
const WIDTH = ["width", "Width"] as const;
const DORMER: readonly (readonly [FeatureLength, string])[] = [
  ALONG,
  WIDTH,
  ["back", "Its front back from the wall, level"],
  ["wallHeight", "Its front wall over the slope"],
];

/** The figures of each kind, in the order they are read on site. */
export const FEATURE_FIGURES: Readonly<Record<FeatureKind, FeatureFigures>> = {
  "gable-dormer": { noun: "Gabled dormer", lengths: DORMER, hasPitch: true },
  "shed-dormer": { noun: "Shed dormer", lengths: DORMER, hasPitch: true },
  "roof-window": {
    noun: "Roof window",
    lengths: [ALONG, WIDTH, ["back", "Up the slope from the wall"], ["depth", "Length along the slope"]],
    hasPitch: false,
  },
  chimney: {
    noun: "Chimney",
    lengths: [ALONG, WIDTH, ["back", "In from the wall, level"], ["depth", "Depth, level"]],
    hasPitch: false,
  },
  notch: { noun: "Notch in the eave", lengths: [ALONG, WIDTH, ["depth", "In from the wall, level"]], hasPitch: false },
  "carried-eave": {
    noun: "Eave carried down",
    lengths: [ALONG, WIDTH, ["depth", "Further out than the wall, level"]],
    hasPitch: false,
  },
};

export const isDormer = ({ kind }: Pick<RoofFeature, "kind">): boolean =>
  kind === "gable-dormer" || kind === "shed-dormer";
