import { z } from "zod";
import { type AssemblyUse, assemblyUseSchema, type HandSet, handSetSchema } from "./use";

/** A picture of the part; its bytes lie apart, under the same id. */
export const photoSchema = z.object({ id: z.string().min(1).max(40), caption: z.string().max(200) });
export type Photo = z.infer<typeof photoSchema>;

/** Pictures as they are kept: what browsers make and show. */
export const PHOTO_TYPES = ["image/jpeg", "image/png", "image/webp"] as const;
export const LARGEST_PHOTO_BYTES = 8 * 1024 * 1024;

export const LONGEST_NOTES = 4000;

/** What every part carries, whatever its kind. */
export const partBase = {
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(120),
  storey: z.string().min(1).max(80),
  location: z.string().max(120),
  notes: z.string().max(LONGEST_NOTES),
  photos: z.array(photoSchema).max(60),
  /** Assemblies that apply to it. Records from before there were any have none. */
  uses: z.array(assemblyUseSchema).max(20).default([]),
  /** Counts that people set by hand. */
  handSet: z.array(handSetSchema).max(200).default([]),
};

export const FIRST_STOREY = "Ground";

export const newBase = (id: string, name: string) => ({
  id,
  name,
  storey: FIRST_STOREY,
  location: "",
  notes: "",
  photos: [],
  uses: [] as AssemblyUse[],
  handSet: [] as HandSet[],
});
