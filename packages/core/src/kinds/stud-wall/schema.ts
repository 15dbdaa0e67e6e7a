import { z } from "zod";
import { partBase } from "../../parts/base";
import type { SettledChoices } from "../../parts/choicesSlot";
import { choicesThatStand } from "../../parts/choicesThatStand";
import { assemblyRefSchema } from "../../parts/use";
import { wallFields } from "../../wall/schema";
import { FRAMING_PARAMETERS, type FramingChoices } from "./parameters";

export const studWallSchema = z.object({
  kind: z.literal("stud-wall"),
  schemaVersion: z.literal(6),
  ...partBase,
  ...wallFields,
  /** What it is framed by, in the version it is counted with. */
  assembly: assemblyRefSchema,
  /** What people chose; all else follows the house and the assembly. */
  choices: choicesThatStand(FRAMING_PARAMETERS),
});

export type StudWall = z.infer<typeof studWallSchema> & { readonly settled?: SettledChoices<FramingChoices> };
