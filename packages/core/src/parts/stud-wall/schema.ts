import { z } from "zod";
import { partBase } from "../base";
import { chosenSchema, dimensionSchema } from "../dimension";

export const OPENING_KINDS = ["door", "window", "plain"] as const;

export const openingSchema = z.object({
  id: z.string().min(1).max(40),
  kind: z.enum(OPENING_KINDS),
  name: z.string().max(120),
  /** Rough opening, not unit size. */
  width: dimensionSchema,
  height: dimensionSchema,
  /** From the underside of the bottom plate to the top of the rough sill; 0 for an opening that reaches the floor. */
  sill: dimensionSchema,
  /** From the left end of the wall to the near side of the rough opening. */
  position: dimensionSchema,
});
export type Opening = z.infer<typeof openingSchema>;

/** Which wall of a room it is built as, and how much of it; its figures then come from the plan. */
export const wallOnPlanSchema = z.object({
  roomId: z.string().min(1).max(40),
  /** The run, or the recess or bump whose back it is. */
  hostId: z.string().min(1).max(40),
  stretch: z.discriminatedUnion("how", [
    /** As far as the wall goes on the plan, past the rooms along it. */
    z.object({ how: z.literal("whole") }),
    /** This room's side of it. */
    z.object({ how: z.literal("room") }),
    /** From and to along the run, from its start. */
    z.object({ how: z.literal("part"), from: dimensionSchema, to: dimensionSchema }),
  ]),
});
export type WallOnPlan = z.infer<typeof wallOnPlanSchema>;

export const WALL_ENDS = ["free", "corner-through", "corner-butts", "meets"] as const;
export type WallEnd = (typeof WALL_ENDS)[number];

export const studWallSchema = z.object({
  kind: z.literal("stud-wall"),
  schemaVersion: z.literal(2),
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
  parameters: z.object({
    studSize: chosenSchema(z.string().min(1).max(40)),
    spacingNm: chosenSchema(z.int().min(100_000_000).max(1_300_000_000)),
    bottomPlates: chosenSchema(z.int().min(1).max(3)),
    topPlates: chosenSchema(z.int().min(1).max(3)),
    bearing: chosenSchema(z.boolean()),
    sheathed: chosenSchema(z.boolean()),
  }),
});
export type StudWall = z.infer<typeof studWallSchema>;
export type StudWallParameters = StudWall["parameters"];
export type ParameterName = keyof StudWallParameters;
