import { z } from "zod";
import { JOIST_PARAMETERS } from "../../joists/choices";
import { type Joisted, joistEdgeSchema, joistedFields, MOST_JOIST_EDGES } from "../../joists/schema";
import { choicesThatStand } from "../../parts/choicesThatStand";

const OF_ROOFS: ReadonlySet<string> = new Set([
  "plateSection",
  "ladderSpacing",
  "noggingEvery",
  "firrings",
  "fallOver",
  "leastFirring",
]);

/** What comes to something on a floor, in the order it is settled. */
export const FLOOR_PARAMETERS = JOIST_PARAMETERS.filter(({ name }) => !OF_ROOFS.has(name));

/** A floor or a ceiling of joists, inside the house. */
export const floorSchema = z.object({
  kind: z.literal("floor"),
  schemaVersion: z.literal(2),
  ...joistedFields,
  // Only roofs hang over.
  edges: z
    .array(joistEdgeSchema.omit({ overhang: true }))
    .min(3)
    .max(MOST_JOIST_EDGES),
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(FLOOR_PARAMETERS),
});
export type Floor = z.infer<typeof floorSchema> & Pick<Joisted, "settled" | "found">;
