import { z } from "zod";
import { ownValue } from "../records/ownValue";
import type { Nanometres } from "../units";

export const UNIT_MATERIALS = ["brick", "block", "stone"] as const;
export type UnitMaterial = (typeof UNIT_MATERIALS)[number];

const size = z.int().min(10_000_000).max(2_000_000_000);
const joint = z.int().min(0).max(60_000_000);

/** A brick, a block or the average stone, by its own work size; joints are beside it. */
export const masonryUnitSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(80),
  system: z.enum(["imperial", "metric"]),
  material: z.enum(UNIT_MATERIALS),
  lengthNm: size,
  heightNm: size,
  /** From face to back, as it lies in the wall. */
  thicknessNm: size,
  bedJointNm: joint,
  perpendJointNm: joint,
  /** So many courses with their joints come to such a height, where that is no whole joint: three modular courses are 8 in. */
  courses: z.object({ count: z.int().min(1).max(20), heightNm: size }).optional(),
  /** Volume of one less its cores, cubic metres, where it has any: what concrete, not mortar, fills. */
  coreM3: z.number().min(0).max(1).optional(),
});
export type MasonryUnit = z.infer<typeof masonryUnitSchema>;
export type UnitBook = Readonly<Record<string, MasonryUnit>>;

/** Throws for an unknown id: the problems of a wall say so before anything is built of it. */
export function masonryUnitOf(units: UnitBook, id: string): MasonryUnit {
  const unit = ownValue(units, id);
  if (!unit) throw new Error(`masonryUnitOf: no masonry unit "${id}" in the library`);
  return unit;
}

/** Height of so many courses from the foot of the first bed joint, to the whole nanometre. */
export const coursesNm = (unit: MasonryUnit, bedJointNm: Nanometres, count: number): Nanometres =>
  unit.courses && bedJointNm === unit.bedJointNm
    ? Math.round((count * unit.courses.heightNm) / unit.courses.count)
    : count * (unit.heightNm + bedJointNm);
