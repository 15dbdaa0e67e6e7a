import { z } from "zod";
import { partBase } from "../base";
import { dimensionSchema } from "../dimension";
import { assemblyRefSchema, choicesSchema } from "../use";
import { framingParametersSchema } from "./parameters";

export const OPENING_KINDS = ["door", "window", "plain"] as const;

/** What width and height are the sizes of: the hole as framed, or the door or window that goes in it. */
export const MEASURED_AS = ["rough", "unit"] as const;

/** Where along the wall: by its position from the left end, in the middle, or sharing the wall evenly with all that do. */
export const OPENING_PLACES = ["from-left", "centred", "even"] as const;

export const openingSchema = z.object({
  id: z.string().min(1).max(40),
  kind: z.enum(OPENING_KINDS),
  name: z.string().max(120),
  measuredAs: z.enum(MEASURED_AS),
  width: dimensionSchema,
  height: dimensionSchema,
  /** From the underside of the bottom plate to the top of the rough sill; 0 for an opening that reaches the floor. */
  sill: dimensionSchema,
  along: z.enum(OPENING_PLACES),
  /** From the left end of the wall to the near side of what is measured. Counts where the opening is placed by it. */
  position: dimensionSchema,
});
export type Opening = z.infer<typeof openingSchema>;

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

export const studWallSchema = z.object({
  kind: z.literal("stud-wall"),
  schemaVersion: z.literal(5),
  ...partBase,
  /** Null for a wall measured by itself. */
  plan: wallOnPlanSchema.nullable(),
  /** How each end stands: seen from the side that positions are measured from. */
  ends: z.object({ left: z.enum(WALL_ENDS), right: z.enum(WALL_ENDS) }),
  /** Walls that meet this one between its ends: the centre of each from the left end. */
  meetings: z.array(z.object({ positionNm: z.int(), thicknessNm: z.int(), withName: z.string().max(160) })).max(60),
  length: dimensionSchema,
  height: dimensionSchema,
  openings: z.array(openingSchema).max(60),
  /** Its top: level at `height`, or as the shape says. */
  shape: wallShapeSchema,
  /** How often the wall is built. */
  repeats: z.int().min(1).max(500),
  /** What it is framed by, in the version it is counted with. */
  assembly: assemblyRefSchema,
  parameters: framingParametersSchema,
  /** Choices for what parameters the assembly has beyond those of framing. */
  choices: choicesSchema,
});
export type StudWall = z.infer<typeof studWallSchema>;
