import { z } from "zod";
import { partBase } from "../../parts/base";
import type { SettledChoices } from "../../parts/choicesSlot";
import { choicesThatStand } from "../../parts/choicesThatStand";
import { dimensionSchema } from "../../parts/dimension";
import { figureSchema } from "../../parts/figure";
import { assemblyRefSchema } from "../../parts/use";
import { ROOF_PARAMETERS, type RoofChoices } from "../roof/parameters";

/** Lengths of a roof in all, in the order a measuring report has them. */
export const ROOF_TOTALS = [
  { field: "eaves", label: "Eaves in all" },
  { field: "rakes", label: "Rakes in all" },
  { field: "ridges", label: "Ridges in all" },
  { field: "hips", label: "Hips in all" },
  { field: "valleys", label: "Valleys in all" },
  { field: "wallTops", label: "Along walls at the top" },
  { field: "wallSides", label: "Along walls at the sides" },
  { field: "plate", label: "Top of the wall plate above the floor" },
] as const;
export type RoofTotal = (typeof ROOF_TOTALS)[number]["field"];

/**
 * A roof by its totals, where nobody has drawn it: so much area of one pitch, so much of each line. Counted by the same assemblies
 * as a roof, and marked as reckoned.
 */
export const roofTotalsSchema = z.object({
  kind: z.literal("roof-totals"),
  schemaVersion: z.literal(1),
  ...partBase,
  /** Overhangs included. */
  area: figureSchema,
  /** The area was taken along the slopes, or on plan. */
  areaTaken: z.enum(["slope", "plan"]),
  pitch: figureSchema,
  eaves: dimensionSchema,
  rakes: dimensionSchema,
  ridges: dimensionSchema,
  hips: dimensionSchema,
  valleys: dimensionSchema,
  wallTops: dimensionSchema,
  wallSides: dimensionSchema,
  plate: dimensionSchema,
  assembly: assemblyRefSchema,
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(ROOF_PARAMETERS),
});
export type RoofTotals = z.infer<typeof roofTotalsSchema> & { readonly settled?: SettledChoices<RoofChoices> };
