import { z } from "zod";
import { partBase } from "../../parts/base";
import { dimensionSchema } from "../../parts/dimension";
import { assemblyRefSchema, choicesSchema } from "../../parts/use";
import type { SettledMasonry } from "../masonry-wall/schema";

/** A pier of masonry that stands by itself: solid, or hollow with one leaf all round. */
export const pierSchema = z.object({
  kind: z.literal("pier"),
  schemaVersion: z.literal(1),
  ...partBase,
  length: dimensionSchema,
  width: dimensionSchema,
  height: dimensionSchema,
  hollow: z.boolean(),
  /** How many there are alike. */
  count: z.int().min(1).max(500),
  assembly: assemblyRefSchema,
  choices: choicesSchema,
});
export type Pier = z.infer<typeof pierSchema> & { readonly settled?: SettledMasonry };
