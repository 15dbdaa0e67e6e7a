import { z } from "zod";
import { FRAMING_ROLES } from "../parts";

const roleSchema = z.enum(FRAMING_ROLES);

/** Nails along or at the ends of pieces of given roles, as a published schedule states them. */
const fasteningSchema = z.object({
  id: z.string().min(1),
  /** `Stud to plate, end nailed`. */
  joint: z.string().min(1),
  roles: z.array(roleSchema).min(1),
  itemCode: z.string().min(1),
  method: z.discriminatedUnion("by", [
    /** So many nails at each end of each piece. */
    z.object({ by: z.literal("end"), nails: z.int().positive() }),
    /** A nail at each end of a row and at most a spacing apart, in so many rows. */
    z.object({ by: z.literal("spacing"), spacingNm: z.int().positive(), rows: z.int().positive() }),
  ]),
  source: z.string().min(1),
});
export type Fastening = z.infer<typeof fasteningSchema>;

const sheathingSchema = z.object({
  itemCode: z.string().min(1),
  widthNm: z.int().positive(),
  heightNm: z.int().positive(),
  nailCode: z.string().min(1),
  edgeSpacingNm: z.int().positive(),
  fieldSpacingNm: z.int().positive(),
  source: z.string().min(1),
});
export type SheathingRule = z.infer<typeof sheathingSchema>;

/** Header by opening width: the builder's schedule or the engineer's, never designed here. */
const headerRowSchema = z.object({
  maxWidthNm: z.int().positive(),
  sectionId: z.string().min(1),
  plies: z.int().min(1).max(4),
});
export type HeaderRow = z.infer<typeof headerRowSchema>;

const wordingSchema = z.object({
  when: z.enum(["always", "bearing", "not-bearing", "openings", "sheathed"]),
  /** Names in braces are replaced: {length}, {height}, {studSize}, {spacing}, {topPlates}, {openings}, {name}. */
  text: z.string().min(1),
});

/** How one kind of part is built, as data. One for each measuring system. */
export const assemblySchema = z.object({
  id: z.string().min(1),
  version: z.int().positive(),
  name: z.string().min(1),
  appliesTo: z.literal("stud-wall"),
  system: z.enum(["imperial", "metric"]),
  headerSchedule: z.array(headerRowSchema).min(1),
  /** Plates laid flat over an opening that carries nothing. */
  flatPlates: z.int().min(1).max(3),
  longestPlateNm: z.int().positive(),
  spliceStaggerNm: z.int().positive(),
  fastenings: z.array(fasteningSchema),
  sheathing: sheathingSchema,
  labourTasks: z.record(z.enum([...FRAMING_ROLES, "sheet"]), z.string().min(1)),
  wording: z.array(wordingSchema),
});
export type Assembly = z.infer<typeof assemblySchema>;

/** The price list's code for a timber section. */
export const timberCode = (sectionId: string): string => `timber/${sectionId}`;

/** What laying out the framing needs of an assembly. */
export type FramingRules = Pick<Assembly, "headerSchedule" | "flatPlates" | "longestPlateNm" | "spliceStaggerNm">;
