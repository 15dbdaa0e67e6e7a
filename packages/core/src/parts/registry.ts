import { type StudWall, studWallKind, studWallSchema } from "./stud-wall";

/** Every kind of part. A new kind is a folder beside `stud-wall`, a line in `PART_KINDS` and one in `partSchema`. */
export const PART_KINDS = { "stud-wall": studWallKind } as const;

export const partSchema = studWallSchema;
export type Part = StudWall;

export const kindOf = (part: Part) => PART_KINDS[part.kind];
