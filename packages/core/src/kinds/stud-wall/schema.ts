import { z } from "zod";
import { partBase } from "../../parts/base";
import { assemblyRefSchema, choicesSchema } from "../../parts/use";
import { wallFields } from "../../wall/schema";
import { framingParametersSchema } from "./parameters";

export const studWallSchema = z.object({
  kind: z.literal("stud-wall"),
  schemaVersion: z.literal(5),
  ...partBase,
  ...wallFields,
  /** What it is framed by, in the version it is counted with. */
  assembly: assemblyRefSchema,
  parameters: framingParametersSchema,
  /** Choices for what parameters the assembly has beyond those of framing. */
  choices: choicesSchema,
});
export type StudWall = z.infer<typeof studWallSchema>;
