import { z } from "zod";
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

export const studWallSchema = z.object({
  kind: z.literal("stud-wall"),
  schemaVersion: z.literal(1),
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(120),
  storey: z.string().max(80),
  location: z.string().max(120),
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
