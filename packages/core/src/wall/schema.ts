import { z } from "zod";
import { dimensionSchema } from "../parts/dimension";
import type { Figure } from "../parts/figure";
import { openingSchema } from "../parts/opening";

/** Which wall of a room it is built as, and how much of it; its figures then come from the plan. */
export const wallOnPlanSchema = z.object({
  roomId: z.string().min(1).max(40),
  /** The run, the recess or bump whose back it is, or any face of the room's outline by its id. */
  hostId: z.string().min(1).max(140),
  stretch: z.discriminatedUnion("how", [
    /** As far as the wall goes on the plan, past the rooms along it. */
    z.object({ how: z.literal("whole") }),
    /** This room's side of it. */
    z.object({ how: z.literal("room") }),
    /** From and to along the run, from its start. */
    z.object({ how: z.literal("part"), from: dimensionSchema, to: dimensionSchema }),
  ]),
  /** Known from the plan: the wall's top is that of a sloped ceiling, and its figures are the room's. */
  underCeiling: z.boolean().optional(),
  /** Known from the plan: its height is that of a ceiling, which is confirmed in its room. */
  heightFollows: z.boolean().optional(),
  /** Known from the plan: the room's figure that its length is read as. */
  lengthPath: z.string().max(140).optional(),
});
export type WallOnPlan = z.infer<typeof wallOnPlanSchema>;

/** The top of a wall. `height` is its left end's, and for a single slope the low end's. */
export const wallShapeSchema = z.discriminatedUnion("how", [
  z.object({ how: z.literal("level") }),
  z.object({ how: z.literal("slope"), up: z.enum(["left", "right"]), highHeight: dimensionSchema }),
  z.object({ how: z.literal("gable"), peakHeight: dimensionSchema, peakAt: dimensionSchema }),
  /** From the left end's height through each point in turn, then level to the right end. */
  z.object({
    how: z.literal("points"),
    points: z
      .array(z.object({ id: z.string().min(1).max(40), at: dimensionSchema, height: dimensionSchema }))
      .min(1)
      .max(20),
  }),
]);
export type WallShape = z.infer<typeof wallShapeSchema>;

export const WALL_ENDS = ["free", "corner-through", "corner-butts", "meets"] as const;
export type WallEnd = (typeof WALL_ENDS)[number];

/** What walls of any material have. */
export const wallFields = {
  /** Null for a wall measured by itself. */
  plan: wallOnPlanSchema.nullable(),
  /** How each end stands: seen from the side that positions are measured from. */
  ends: z.object({ left: z.enum(WALL_ENDS), right: z.enum(WALL_ENDS) }),
  /** Which of its corners the house turns inwards: the outside of the wall is then on the inner side of the turn. Outwards where absent. */
  insideCorners: z.object({ left: z.boolean(), right: z.boolean() }).optional(),
  /** Walls that meet this one between its ends: the centre of each from the left end. */
  meetings: z.array(z.object({ positionNm: z.int(), thicknessNm: z.int(), withName: z.string().max(160) })).max(60),
  length: dimensionSchema,
  height: dimensionSchema,
  openings: z.array(openingSchema).max(60),
  /** Its top: level at `height`, or as the shape says. */
  shape: wallShapeSchema,
  /** How often the wall is built. */
  repeats: z.int().min(1).max(500),
};
const wallSchema = z.object(wallFields);
export type Wall = z.infer<typeof wallSchema> & {
  readonly name: string;
  /** Of all openings together, where a material can be priced without each of them. */
  readonly openingArea?: Figure;
};
