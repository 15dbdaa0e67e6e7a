import { z } from "zod";
import { type GroundChoices, groundParameters } from "../../ground/choices";
import { partBase } from "../../parts/base";
import type { SettledChoices } from "../../parts/choicesSlot";
import { choicesThatStand } from "../../parts/choicesThatStand";
import { dimensionSchema } from "../../parts/dimension";
import { assemblyRefSchema } from "../../parts/use";

export const MOST_PADS = 500;

/** What comes to something on a pad, in the order it is settled. */
export const PAD_PARAMETERS = groundParameters(
  "fill",
  "blinding",
  "padBarsEachWay",
  "uprights",
  "padBar",
  "cover",
  "formwork",
  "workingSpace",
  "batter",
  "rounding",
);

/** Pads or tubes of concrete under posts, so many alike. */
export const padSchema = z.object({
  kind: z.literal("pad"),
  schemaVersion: z.literal(1),
  ...partBase,
  form: z.enum(["pad", "tube"]),
  length: dimensionSchema,
  width: dimensionSchema,
  diameter: dimensionSchema,
  /** Of the concrete, from its underside to its top. */
  height: dimensionSchema,
  /** Of its top above the ground; less than nothing below it. */
  top: dimensionSchema,
  /** How many there are alike. */
  count: z.int().min(1).max(MOST_PADS),
  assembly: assemblyRefSchema,
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(PAD_PARAMETERS),
});
export type Pad = z.infer<typeof padSchema> & { readonly settled?: SettledChoices<GroundChoices> };
