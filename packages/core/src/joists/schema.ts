import { z } from "zod";
import { partBase } from "../parts/base";
import type { SettledChoices } from "../parts/choicesSlot";
import { dimensionSchema } from "../parts/dimension";
import { assemblyRefSchema } from "../parts/use";
import { BEARINGS, type JoistChoices } from "./choices";

export const MOST_JOIST_EDGES = 60;
export const MOST_FLOOR_OPENINGS = 24;
export const MOST_SUPPORTS = 24;

const id = z.string().min(1).max(40);

/** One edge along the outside of the joists; `bears` is how they end on it, or what the choice says where nobody said so. */
export const joistEdgeSchema = z.object({
  id,
  length: dimensionSchema,
  turnDegrees: z.number().gt(-180).lt(180),
  bears: z.enum(BEARINGS).nullable(),
  /** Of a side of a roof that is open: how far it hangs over what carries it. */
  overhang: dimensionSchema.optional(),
});
export type JoistEdge = z.infer<typeof joistEdgeSchema>;

export const FLOOR_OPENING_KINDS = ["stair", "chimney", "hatch"] as const;

/** A hole in the floor. Its near corner lies so far along Edge A and so far in from it; its sides run with Edge A and square to it. */
export const floorOpeningSchema = z.object({
  id,
  kind: z.enum(FLOOR_OPENING_KINDS),
  along: dimensionSchema,
  off: dimensionSchema,
  length: dimensionSchema,
  width: dimensionSchema,
  measuredAs: z.enum(["clear", "framed"]),
  headers: z.enum(["by-rule", "single", "double"]),
  /** Joists are left whole through it, to be cut once the stairs are set. */
  runThrough: z.boolean(),
});
export type FloorOpening = z.infer<typeof floorOpeningSchema>;

export const SUPPORT_KINDS = ["wall", "beam", "flush-beam"] as const;
export type SupportKind = (typeof SUPPORT_KINDS)[number];

/** A line across the joists that carries them: a wall or a beam below, or a beam between them. Its middle lies so far along the joists. */
export const supportSchema = z.object({ id, kind: z.enum(SUPPORT_KINDS), at: dimensionSchema });
export type Support = z.infer<typeof supportSchema>;

export const SPOT_KINDS = ["post", "hold-down", "strap"] as const;
export type SpotKind = (typeof SPOT_KINDS)[number];
export const MOST_JOIST_SPOTS = 60;

/** One thing at a place of its own: a post under a beam, a hold-down, a strap. So far along Edge A and so far in from it. */
export const joistSpotSchema = z.object({
  id,
  kind: z.enum(SPOT_KINDS),
  along: dimensionSchema,
  off: dimensionSchema,
});
export type JoistSpot = z.infer<typeof joistSpotSchema>;

/** A line along the joists on which one is doubled: a wall stands there. Its middle lies so far across the joists. */
export const doubledSchema = z.object({ id, at: dimensionSchema });
export type Doubled = z.infer<typeof doubledSchema>;

export const followsSchema = z.discriminatedUnion("how", [
  z.object({ how: z.literal("own") }),
  z.object({ how: z.literal("outside") }),
  z.object({ how: z.literal("rooms"), roomIds: z.array(id).min(1).max(60) }),
  /** Edge A along a side of the house, from outside: the wall of a room, and which of its stretches; begun so far from its right end. */
  z.object({ how: z.literal("side"), roomId: id, side: z.string().min(1).max(80), from: dimensionSchema }),
]);
/** What an outline goes along with: nothing, the outside of its storey, some of its rooms, or one side of the house. */
export type Follows = z.infer<typeof followsSchema>;

/** A line that the plan knows of, in the part's own figures. */
export type FoundLine = { readonly name: string; readonly atNm: number };
/** What the plan knows of a floor: walls below that carry it, and walls on it that run with its joists. */
export type FoundFloor = {
  readonly supports: readonly FoundLine[];
  readonly doubled: readonly FoundLine[];
  /** Walls that carry and run only part of the way across: somebody has to say what they do. */
  readonly short: readonly string[];
  /** Rooms it should lie over that hang together with the others nowhere, and have no floor of it. */
  readonly apart: number;
  /** Rooms it goes along with that are no longer there, or do not close; the side of the house that it lies along. */
  readonly missing: number;
};

/** What everything of joists has alike. */
export const joistedFields = {
  ...partBase,
  edges: z.array(joistEdgeSchema).min(3).max(MOST_JOIST_EDGES),
  /** Of the first corner on the plan of the storey, and the heading of the first edge. */
  place: z.object({ xNm: z.int(), yNm: z.int(), turnDegrees: z.number() }),
  follows: followsSchema,
  /** Joists lie along Edge A or across it. */
  runs: z.enum(["along", "across"]),
  /** The middle of the first joist of the layout, from the side it is laid out from; one spacing where nobody moved it. */
  firstJoist: dimensionSchema,
  openings: z.array(floorOpeningSchema).max(MOST_FLOOR_OPENINGS),
  supports: z.array(supportSchema).max(MOST_SUPPORTS),
  doubled: z.array(doubledSchema).max(MOST_SUPPORTS),
  spots: z.array(joistSpotSchema).max(MOST_JOIST_SPOTS),
  /** How far the first panel of the first row, and the first row itself, are short of whole. */
  panelShift: dimensionSchema,
  rowShift: dimensionSchema,
  /** The top of the joists above the floor of their storey; below it less than nothing. */
  top: dimensionSchema,
  /** From the top of the joists down to what posts stand on. */
  standing: dimensionSchema,
  assembly: assemblyRefSchema,
};

/** Something laid of joists over an outline. */
export type Joisted = z.infer<z.ZodObject<typeof joistedFields>> & {
  readonly kind: string;
  readonly choices: Readonly<Record<string, string | number | boolean>>;
  readonly settled?: SettledChoices<JoistChoices>;
  readonly found?: FoundFloor;
};
