import { z } from "zod";
import { partBase } from "../../parts/base";
import type { Settled } from "../../parts/choicesSlot";
import { assemblyRefSchema, choicesSchema } from "../../parts/use";
import { wallFields } from "../../wall/schema";
import type { MasonryChoices } from "./parameters";

/** A wall of brick, block or stone. */
export const masonryWallSchema = z.object({
  kind: z.literal("masonry-wall"),
  schemaVersion: z.literal(1),
  ...partBase,
  ...wallFields,
  /** What it is built by, in the version it is counted with. */
  assembly: assemblyRefSchema,
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesSchema,
});

export type SettledMasonry = Settled<MasonryChoices>;
export type MasonryWall = z.infer<typeof masonryWallSchema> & {
  readonly settled?: SettledMasonry;
  /** Its openings are as they are left open, each at its place. Never stored. */
  readonly leftOpen?: true;
};
