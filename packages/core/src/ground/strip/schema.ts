import { z } from "zod";
import { partBase } from "../../parts/base";
import { dimensionSchema } from "../../parts/dimension";
import { assemblyRefSchema } from "../../parts/use";

export const MOST_STRIP_EDGES = 60;
export const MOST_INNER_LINES = 24;
export const MOST_STEPS = 40;

export const stripEdgeSchema = z.object({
  id: z.string().min(1).max(40),
  length: dimensionSchema,
  turnDegrees: z.number().gt(-180).lt(180),
});
export type StripEdge = z.infer<typeof stripEdgeSchema>;

/** A footing under a wall within: along the first edge or across it, its middle so far from the outside; halved evenly where nobody placed it. */
export const innerLineSchema = z.object({
  id: z.string().min(1).max(40),
  runs: z.enum(["along", "across"]),
  at: dimensionSchema,
});
export type InnerLine = z.infer<typeof innerLineSchema>;

/** A stretch of an edge whose footing lies lower by a drop; to the end of the edge where nobody said how far. */
export const stepSchema = z.object({
  id: z.string().min(1).max(40),
  edgeId: z.string().min(1).max(40),
  from: dimensionSchema,
  to: dimensionSchema,
  drop: dimensionSchema,
});
export type FootingStep = z.infer<typeof stepSchema>;

/** What a footing's outline is measured along. */
export const MEASURED_ALONG = ["outside", "centre"] as const;

export const stripFields = {
  ...partBase,
  edges: z.array(stripEdgeSchema).min(1).max(MOST_STRIP_EDGES),
  /** Whether the walk comes back to where it began. */
  closed: z.boolean(),
  /** The edges are the outside of the wall on the footing, or the middle of both. */
  measuredAlong: z.enum(MEASURED_ALONG),
  place: z.object({ xNm: z.int(), yNm: z.int(), turnDegrees: z.number() }),
  inner: z.array(innerLineSchema).max(MOST_INNER_LINES),
  steps: z.array(stepSchema).max(MOST_STEPS),
  /** Whether a wall of concrete stands on it; what is built on it otherwise is a part of its own. */
  stem: z.boolean(),
  width: dimensionSchema,
  thickness: dimensionSchema,
  /** Of the underside of the footing below the ground. */
  below: dimensionSchema,
  stemWidth: dimensionSchema,
  stemHeight: dimensionSchema,
  assembly: assemblyRefSchema,
};
export type StripFigures = z.infer<z.ZodObject<typeof stripFields>>;
