import { z } from "zod";
import { ownValue } from "../records/ownValue";

/** A timber cross-section as bought: the name it is sold by and the dressed size it measures. */
export const sectionSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(80),
  system: z.enum(["imperial", "metric"]),
  thicknessNm: z.int().positive(),
  depthNm: z.int().positive(),
  /** Nominal inches, for board feet; absent for metric sections, whose name is their size. */
  nominalIn: z.object({ thickness: z.number().positive(), depth: z.number().positive() }).optional(),
  /** Whether it is offered as a stud; deeper ones serve as headers. */
  stud: z.boolean(),
  /** A board: decking, risers. It is offered where boards are asked for, and nowhere among framing. */
  board: z.boolean().optional(),
});
export type Section = z.infer<typeof sectionSchema>;

export type SectionBook = Readonly<Record<string, Section>>;

/** Throws for an unknown id: section ids are checked where data comes in. */
export function sectionOf(sections: SectionBook, id: string): Section {
  const section = ownValue(sections, id);
  if (!section) throw new Error(`sectionOf: no section "${id}" in the library`);
  return section;
}
