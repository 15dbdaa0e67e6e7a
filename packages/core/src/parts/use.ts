import { z } from "zod";

/** A value of a parameter: lengths in whole nanometres. */
export const scalarSchema = z.union([z.number(), z.boolean(), z.string().max(80)]);
export type Scalar = z.infer<typeof scalarSchema>;

/** Which assembly, in the version it is counted with. */
export const assemblyRefSchema = z.object({ id: z.string().min(1).max(60), version: z.int().positive() });
export type AssemblyRef = z.infer<typeof assemblyRefSchema>;

export const choicesSchema = z.record(z.string().max(40), scalarSchema);

/** An assembly that applies to a part, and the choices a person made for it. What is not chosen follows the house. */
export const assemblyUseSchema = z.object({
  id: z.string().min(1).max(40),
  assembly: assemblyRefSchema,
  choices: choicesSchema,
});
export type AssemblyUse = z.infer<typeof assemblyUseSchema>;

/** A count that a person set: `line` is the count line's id within the part. */
export const handSetSchema = z.object({
  line: z.string().min(1).max(160),
  quantity: z.number().min(0).max(1_000_000),
  reason: z.string().trim().min(1, "Say why.").max(400),
});
export type HandSet = z.infer<typeof handSetSchema>;
