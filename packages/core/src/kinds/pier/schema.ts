import { z } from "zod";
import { partBase } from "../../parts/base";
import { choicesThatStand } from "../../parts/choicesThatStand";
import { dimensionSchema } from "../../parts/dimension";
import { assemblyRefSchema } from "../../parts/use";
import { MASONRY_PARAMETERS } from "../masonry-wall/parameters";
import type { SettledMasonry } from "../masonry-wall/schema";

export const MOST_PIERS = 500;

/** A pier of masonry that stands by itself: solid, or hollow with one leaf all round. */
export const pierSchema = z.object({
  kind: z.literal("pier"),
  schemaVersion: z.literal(2),
  ...partBase,
  length: dimensionSchema,
  width: dimensionSchema,
  height: dimensionSchema,
  hollow: z.boolean(),
  /** How many there are alike. */
  count: z.int().min(1).max(MOST_PIERS),
  assembly: assemblyRefSchema,
  choices: choicesThatStand(MASONRY_PARAMETERS),
});
export type Pier = z.infer<typeof pierSchema> & { readonly settled?: SettledMasonry };
