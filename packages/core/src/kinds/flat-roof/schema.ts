import { z } from "zod";
import { joistParameters } from "../../joists/choices";
import { type Joisted, joistedFields, MOST_JOIST_EDGES } from "../../joists/schema";
import { choicesThatStand } from "../../parts/choicesThatStand";
import { dimensionSchema } from "../../parts/dimension";

/** What comes to something on a flat roof, in the order it is settled. */
export const FLAT_ROOF_PARAMETERS = joistParameters(
  "joistSection",
  "joistSpacing",
  "layoutFrom",
  "edgesBear",
  "endBearing",
  "wallGap",
  "closeJoists",
  "hammerRoom",
  "openingLining",
  "openingHangers",
  "plateSection",
  "ladderSpacing",
  "noggingEvery",
  "firrings",
  "fallOver",
  "leastFirring",
  "tableSpan",
  "panelSpan",
  "panelsBy",
  "panelStagger",
  "panelCorner",
  "panelTongue",
);

const sides = z.array(z.string().min(1).max(40)).max(MOST_JOIST_EDGES);

/**
 * A roof of level joists with a fall laid on them. A side with an overhang is open; one without is against a wall. Lengths of its trims
 * follow its sides while nobody has set them by hand.
 */
export const flatRoofSchema = z.object({
  kind: z.literal("flat-roof"),
  schemaVersion: z.literal(2),
  ...joistedFields,
  /** Nothing stands between its sides, or on it. */
  supports: joistedFields.supports.max(0),
  doubled: joistedFields.doubled.max(0),
  spots: joistedFields.spots.max(0),
  /** The side that water runs to; the first open one that joists end on where nobody said. */
  fallsTo: z.string().max(40),
  /** Sides with a fascia, a kerb, a gutter; those that follow by themselves where nobody said. */
  fasciaOn: sides.nullable(),
  kerbOn: sides,
  gutterOn: sides.nullable(),
  fascia: dimensionSchema,
  drip: dimensionSchema,
  soffit: dimensionSchema,
  kerb: dimensionSchema,
  gutter: dimensionSchema,
  upstand: dimensionSchema,
  flashing: dimensionSchema,
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(FLAT_ROOF_PARAMETERS),
});
export type FlatRoof = z.infer<typeof flatRoofSchema> & Pick<Joisted, "settled" | "found">;
