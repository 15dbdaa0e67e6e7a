import { z } from "zod";
import { type Joisted, joistEdgeSchema, joistedFields, MOST_JOIST_EDGES } from "../../joists/schema";
import type { SettledChoices } from "../../parts/choicesSlot";
import { choicesThatStand } from "../../parts/choicesThatStand";
import { dimensionSchema } from "../../parts/dimension";
import { DECK_PARAMETERS, type DeckChoices } from "./choices";

export const MOST_STAIRS = 8;

const id = z.string().min(1).max(40);
const sides = z.array(id).max(MOST_JOIST_EDGES);

/** A stair down from a side of the deck: where it begins along the side, seen from its start, and how wide its treads are. */
export const deckStairSchema = z.object({
  id,
  edgeId: id,
  along: dimensionSchema,
  width: dimensionSchema,
  /** From what it stands on up to the boards; as high as the deck is where nobody measured it. */
  rise: dimensionSchema,
});
export type DeckStair = z.infer<typeof deckStairSchema>;

/** A deck outside: joists with boards over them, a guard round it, stairs down from it. */
export const deckSchema = z.object({
  kind: z.literal("deck"),
  schemaVersion: z.literal(1),
  ...joistedFields,
  edges: z
    .array(joistEdgeSchema.omit({ overhang: true }))
    .min(3)
    .max(MOST_JOIST_EDGES),
  /** No wall of the house stands on it. */
  doubled: joistedFields.doubled.max(0),
  /** Sides that lie against the house; the others are open. */
  atHouse: sides,
  /** From the ground up to the boards, where that is most. */
  rise: dimensionSchema,
  /** Sides with a guard, and with a board of the frame along them; the open ones where nobody said. */
  guardOn: sides.nullable(),
  frameOn: sides.nullable(),
  stairs: z.array(deckStairSchema).max(MOST_STAIRS),
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(DECK_PARAMETERS),
});
export type Deck = z.infer<typeof deckSchema> &
  Pick<Joisted, "found"> & { readonly settled?: SettledChoices<DeckChoices> };
