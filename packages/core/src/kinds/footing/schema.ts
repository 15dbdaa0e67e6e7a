import { z } from "zod";
import { type GroundChoices, groundParameters } from "../../ground/choices";
import { stripFields } from "../../ground/strip/schema";
import type { SettledChoices } from "../../parts/choicesSlot";
import { choicesThatStand } from "../../parts/choicesThatStand";

/** What comes to something on a footing, in the order it is settled. */
export const FOOTING_PARAMETERS = groundParameters(
  "fill",
  "blinding",
  "footingBars",
  "mainBar",
  "crossSpacing",
  "crossBar",
  "stemUprights",
  "stemRows",
  "stemBar",
  "anchorSpacing",
  "cover",
  "lapDiameters",
  "formwork",
  "workingSpace",
  "batter",
  "rounding",
);

/** A footing along lines: a strip, trench fill, or a footing with a stem wall. */
export const footingSchema = z.object({
  kind: z.literal("footing"),
  schemaVersion: z.literal(1),
  ...stripFields,
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(FOOTING_PARAMETERS),
});
export type Footing = z.infer<typeof footingSchema> & { readonly settled?: SettledChoices<GroundChoices> };
