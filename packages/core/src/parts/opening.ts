import { z } from "zod";
import type { Nanometres } from "../units";
import { dimensionSchema } from "./dimension";

export const OPENING_KINDS = ["door", "window", "plain"] as const;

/** What width and height are the sizes of: the hole as built, or the door or window that goes in it. */
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
  /** From the foot of the wall to the top of the sill as built; 0 for an opening that reaches the floor. */
  sill: dimensionSchema,
  along: z.enum(OPENING_PLACES),
  /** From the left end of the wall to the near side of what is measured. Counts where the opening is placed by it. */
  position: dimensionSchema,
});
export type Opening = z.infer<typeof openingSchema>;

export const ROOM_OPENING_KINDS = ["door", "window", "plain", "arch"] as const;

/** In the wall behind a run, or in the back of a feature; a neighbour on the wall's other side shares it. */
export const roomOpeningSchema = openingSchema.omit({ along: true }).extend({
  kind: z.enum(ROOM_OPENING_KINDS),
  /** The run or the feature it is in. */
  hostId: z.string().min(1).max(40),
  /** Of an archway: from where the curve springs to its crown, which is the opening's height. */
  rise: dimensionSchema,
});
export type RoomOpening = z.infer<typeof roomOpeningSchema>;

/** A neighbour's opening in a wall that a room shares, with its place as this room measures it. */
export type SharedOpening = RoomOpening & {
  readonly sharedFrom: { readonly roomId: string; readonly roomName: string };
};

/** What the hole is larger than the unit that goes in it. */
export type Allowance = { readonly widthNm: Nanometres; readonly heightNm: Nanometres };
export const NO_ALLOWANCE: Allowance = { widthNm: 0, heightNm: 0 };
