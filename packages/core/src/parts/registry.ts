import { z } from "zod";
import { type AreaPart, areaKind, areaSchema } from "./area";
import { type LengthPart, lengthKind, lengthSchema } from "./length";
import type { PartKind } from "./partKind";
import { type Room, roomKind, roomSchema } from "./room";
import { type SpotsPart, spotsKind, spotsSchema } from "./spots";
import { type StoreyPart, storeyKind, storeySchema } from "./storey";
import { type StudWall, studWallKind, studWallSchema } from "./stud-wall";
import { type WallTotals, wallTotalsKind, wallTotalsSchema } from "./wall-totals";

/** Every kind of part. A new kind is a folder here, a line in `PART_KINDS` and one in `partSchema`. */
export const PART_KINDS = {
  room: roomKind,
  "stud-wall": studWallKind,
  length: lengthKind,
  area: areaKind,
  spots: spotsKind,
  storey: storeyKind,
  "wall-totals": wallTotalsKind,
} as const;

export const partSchema = z.discriminatedUnion("kind", [
  roomSchema,
  studWallSchema,
  lengthSchema,
  areaSchema,
  spotsSchema,
  storeySchema,
  wallTotalsSchema,
]);
export type Part = Room | StudWall | LengthPart | AreaPart | SpotsPart | StoreyPart | WallTotals;

/** The kind of a part. Its functions take the part it was asked for. */
export function kindOf<P extends Part>(part: P): PartKind<P> {
  // The registry is keyed by the literal that `part.kind` is; the compiler cannot follow that through a union.
  return PART_KINDS[part.kind] as unknown as PartKind<P>;
}
