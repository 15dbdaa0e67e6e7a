import { z } from "zod";
import { partBase } from "../../parts/base";
import type { SettledChoices } from "../../parts/choicesSlot";
import { choicesThatStand } from "../../parts/choicesThatStand";
import { figureSchema } from "../../parts/figure";
import { assemblyRefSchema } from "../../parts/use";
import { wallFields } from "../../wall/schema";
import { MASONRY_PARAMETERS, type MasonryChoices } from "./parameters";

/** More than the largest wall there can be. */
const LARGEST_AREA_M2 = 10_000;

/** A wall of brick, block or stone. */
export const masonryWallSchema = z.object({
  kind: z.literal("masonry-wall"),
  schemaVersion: z.literal(2),
  ...partBase,
  ...wallFields,
  /** Of all openings together, for a wall whose openings nobody has drawn. */
  openingArea: figureSchema.extend({ value: z.number().min(0).max(LARGEST_AREA_M2).nullable() }),
  /** What it is built by, in the version it is counted with. */
  assembly: assemblyRefSchema,
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(MASONRY_PARAMETERS),
});

export type SettledMasonry = SettledChoices<MasonryChoices>;
export type MasonryWall = z.infer<typeof masonryWallSchema> & {
  readonly settled?: SettledMasonry;
  /** Its openings are as they are left open, each at its place. Never stored. */
  readonly leftOpen?: true;
};
