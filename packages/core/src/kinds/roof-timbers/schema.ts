import { z } from "zod";
import { partBase } from "../../parts/base";
import type { SettledChoices } from "../../parts/choicesSlot";
import { choicesThatStand } from "../../parts/choicesThatStand";
import { dimensionSchema } from "../../parts/dimension";
import { figureSchema } from "../../parts/figure";
import { assemblyRefSchema } from "../../parts/use";
import { ROOF_PARAMETERS, type RoofChoices } from "../roof/parameters";

/** Timbers that people list by hand, as the roles of a roof. */
export const LISTED_TIMBERS = [
  "common-rafter",
  "hip-rafter",
  "valley-rafter",
  "hip-jack",
  "valley-jack",
  "barge-rafter",
  "ridge",
  "ceiling-joist",
  "collar-tie",
] as const;
export type ListedTimber = (typeof LISTED_TIMBERS)[number];

export const MOST_TIMBER_ROWS = 200;
export const MOST_ALIKE = 500;

/** So many of one kind, by their length on plan. */
export const timberEntrySchema = z.object({
  id: z.string().min(1).max(40),
  role: z.enum(LISTED_TIMBERS),
  plan: dimensionSchema,
  /** Of the piece itself; the list's where nobody entered one. */
  pitch: figureSchema,
  count: z.int().min(1).max(MOST_ALIKE),
});
export type TimberEntry = z.infer<typeof timberEntrySchema>;

/** Roof timbers by their lengths on plan, where nobody has drawn the roof: true lengths, lengths to buy, a cutting list. */
export const roofTimbersSchema = z.object({
  kind: z.literal("roof-timbers"),
  schemaVersion: z.literal(1),
  ...partBase,
  /** Of the slopes; given to every row at once. */
  pitch: figureSchema,
  rows: z.array(timberEntrySchema).max(MOST_TIMBER_ROWS),
  assembly: assemblyRefSchema,
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(ROOF_PARAMETERS),
});
export type RoofTimbers = z.infer<typeof roofTimbersSchema> & { readonly settled?: SettledChoices<RoofChoices> };
