import { z } from "zod";
import { partBase } from "../../parts/base";
import { chosenSchema, dimensionSchema } from "../../parts/dimension";
import { roomOpeningSchema } from "../../parts/opening";

const idSchema = z.string().min(1).max(40);

/** One wall of the walk, as the tape reads it inside, and the turn at its end. */
export const roomRunSchema = z.object({
  id: idSchema,
  length: dimensionSchema,
  /** Degrees, to the left above zero. Not asked for at the last run: it ends where the walk began. */
  turnDegrees: chosenSchema(z.number().gt(-180).lt(180)),
  /** Of the wall behind the run, face to face. */
  thickness: dimensionSchema,
});
export type RoomRun = z.infer<typeof roomRunSchema>;

export const FEATURE_KINDS = ["recess", "bump"] as const;

/** A recess goes out of the room, a bump comes into it. Width and depth are clear, measured within it. */
export const featureSchema = z.object({
  id: idSchema,
  runId: idSchema,
  kind: z.enum(FEATURE_KINDS),
  name: z.string().max(120),
  /** From the start of the run to the clear side of a recess, or to the room's face of a bump's side. */
  position: dimensionSchema,
  width: dimensionSchema,
  depth: dimensionSchema,
  /** Of the partitions that bound it; 0 for a solid bump, such as a chimney breast. */
  thickness: dimensionSchema,
});
export type Feature = z.infer<typeof featureSchema>;

export const CEILING_SHAPES = ["level", "sloped", "vaulted"] as const;

/** A bulkhead comes down along a wall; a tray goes up within the ceiling. */
export const dropSchema = z.object({
  id: idSchema,
  kind: z.enum(["bulkhead", "tray"]),
  name: z.string().max(120),
  length: dimensionSchema,
  width: dimensionSchema,
  depth: dimensionSchema,
});
export type Drop = z.infer<typeof dropSchema>;

export const ceilingSchema = z.object({
  shape: chosenSchema(z.enum(CEILING_SHAPES)),
  /** The height, or the lower one at the wall a slope rises from. */
  height: dimensionSchema,
  /** The higher one; unmeasured when the pitch says it. */
  highHeight: dimensionSchema,
  /** Degrees from level; counts only while there is no higher height. */
  pitchDegrees: z.number().min(0).max(85).nullable(),
  /** The run it rises from; the first when it names none of the room's. */
  fromRunId: z.string().max(40),
  drops: z.array(dropSchema).max(40),
});
export type Ceiling = z.infer<typeof ceilingSchema>;

/** Agreed by a person for one gap and no other: if the gap changes, it is asked about again. */
export const closingSchema = z.object({
  how: z.enum(["spread", "squared"]),
  gapXNm: z.int(),
  gapYNm: z.int(),
});
export type Closing = z.infer<typeof closingSchema>;

export const placeSchema = z.discriminatedUnion("how", [
  /** The first corner's place on the storey's plan, and the heading of the first run. */
  z.object({ how: z.literal("free"), xNm: z.int(), yNm: z.int(), turnDegrees: z.number() }),
  /** Back to back with a wall of another room: `offset` is clear, along that wall, to this room's nearer corner. */
  z.object({
    how: z.literal("joined"),
    toRoomId: idSchema,
    toRunId: idSchema,
    runId: idSchema,
    offset: dimensionSchema,
  }),
]);
export type Place = z.infer<typeof placeSchema>;

export const roomSchema = z.object({
  kind: z.literal("room"),
  schemaVersion: z.literal(2),
  ...partBase,
  runs: z.array(roomRunSchema).min(1).max(200),
  /** Whether the walk was said to be done; until then the last run waits for its figure. */
  finished: z.boolean(),
  /** The largest gap that may be spread or squared up. */
  tolerance: dimensionSchema,
  closing: closingSchema.nullable(),
  features: z.array(featureSchema).max(60),
  openings: z.array(roomOpeningSchema).max(120),
  ceiling: ceilingSchema,
  place: placeSchema,
  /** The room whose totals include this one: a closet's bedroom. */
  belongsTo: z.string().max(40).nullable(),
});
export type Room = z.infer<typeof roomSchema>;
