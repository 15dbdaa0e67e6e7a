import { z } from "zod";
import { partBase } from "../../parts/base";
import type { SettledChoices } from "../../parts/choicesSlot";
import { choicesThatStand } from "../../parts/choicesThatStand";
import { dimensionSchema } from "../../parts/dimension";
import { figureSchema } from "../../parts/figure";
import { assemblyRefSchema } from "../../parts/use";
import { MOST_FEATURES, roofFeatureSchema } from "./features/schema";
import type { Meets } from "./meeting/types";
import { ROOF_PARAMETERS, type RoofChoices } from "./parameters";

/**
 * How a roof ends at an edge of its outline: it slopes down to an `eave`; it stands as a `gable`, or as one up to a height and
 * slopes from there, a `half-hip`; it runs up or along a `wall`; it runs on into another `roof`; or it is left `open`.
 */
export const EDGE_ENDS = ["eave", "gable", "half-hip", "wall", "roof", "open"] as const;
export type EdgeEnd = (typeof EDGE_ENDS)[number];

export const MOST_EDGES = 120;

/** Where eaves in one line have unequal pitches: a wall stands between the slopes, or one pitch goes on over all of them. */
export const IN_LINE = ["step", "flatter", "steeper"] as const;
export type InLine = (typeof IN_LINE)[number];

/** One edge of the outline along the outside of the wall, and the turn at its end: degrees, to the left above zero. */
export const roofEdgeSchema = z.object({
  id: z.string().min(1).max(40),
  length: dimensionSchema,
  turnDegrees: z.number().gt(-180).lt(180),
  end: z.enum(EDGE_ENDS),
  /** Its own, as rise over run; the roof's where nobody entered one. */
  pitch: figureSchema,
  /** Its own; the roof's where nobody entered one. */
  overhang: dimensionSchema,
  /** Of a half-hip: from the plate to where it begins to slope. */
  hipFrom: dimensionSchema,
  /** Of a half-hip: how wide its gable still is there. Where it is given, the height follows from it. */
  hipWidth: dimensionSchema,
});
export type RoofEdge = z.infer<typeof roofEdgeSchema>;
export const runsIntoRoof = ({ end }: Pick<RoofEdge, "end">): boolean => end === "roof";

/** A rectangle within the outline that the roof leaves open, with eaves all round it. */
export const courtyardSchema = z.object({
  id: z.string().min(1).max(40),
  along: dimensionSchema,
  into: dimensionSchema,
  width: dimensionSchema,
  depth: dimensionSchema,
});
export type Courtyard = z.infer<typeof courtyardSchema>;

/** A pitched roof over an outline: its form follows from how each edge ends and how steep it is. */
export const roofSchema = z.object({
  kind: z.literal("roof"),
  schemaVersion: z.literal(2),
  ...partBase,
  edges: z.array(roofEdgeSchema).min(3).max(MOST_EDGES),
  courtyards: z.array(courtyardSchema).max(6),
  /** Dormers, openings and the like, in the slopes they lie in. */
  features: z.array(roofFeatureSchema).max(MOST_FEATURES),
  /** Rise over run. */
  pitch: figureSchema,
  /** Of eaves, from the outside of the wall. */
  overhang: dimensionSchema,
  /** Of gables and half-hips. */
  rakeOverhang: dimensionSchema,
  /** Overhangs of eaves are measured level, or down along the slope. */
  overhangMeasured: z.enum(["level", "slope"]),
  inLine: z.enum(IN_LINE),
  /** Above the plate, where every slope changes to the upper pitch; unmeasured where none does. */
  breakHeight: dimensionSchema,
  upperPitch: figureSchema,
  /** Above the plate, where the roof ends in a flat; unmeasured where it does not. */
  flatHeight: dimensionSchema,
  /** The top of the wall plate above the floor of its storey. */
  plate: dimensionSchema,
  /** Of the outline's first corner on the plan of the storey, and the heading of its first edge. */
  place: z.object({ xNm: z.int(), yNm: z.int(), turnDegrees: z.number() }),
  /** Whether it is cut where others of the job meet it. Those measured by themselves lie anywhere. */
  meetsOthers: z.boolean(),
  /** Lies along an edge of another roof, from that edge's left end seen from outside; its place then follows. */
  beside: z
    .object({
      roofId: z.string().min(1).max(80),
      theirEdgeId: z.string().min(1).max(40),
      ownEdgeId: z.string().min(1).max(40),
      along: dimensionSchema,
    })
    .optional(),
  assembly: assemblyRefSchema,
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(ROOF_PARAMETERS),
});
export type Roof = z.infer<typeof roofSchema> & {
  readonly settled?: SettledChoices<RoofChoices>;
  /** What it meets, as the house has it; none of it is stored. */
  readonly meets?: Meets;
  /** It lies along an edge that is not there, and stays where it last was. */
  readonly adrift?: boolean;
};
