import { z } from "zod";
import type { PartKind } from "../parts/partKind";
import type { Role } from "../parts/role";
import type { SlotParameter } from "../parts/slot";
import type { AssemblyRef } from "../parts/use";
import { type AreaPart, areaKind, areaSchema } from "./area";
import { type LengthPart, lengthKind, lengthSchema } from "./length";
import { type MasonryWall, masonryWallKind, masonryWallSchema } from "./masonry-wall";
import { type Pier, pierKind, pierSchema } from "./pier";
import { type Room, roomKind, roomSchema } from "./room";
import { type SpotsPart, spotsKind, spotsSchema } from "./spots";
import { type StoreyPart, storeyKind, storeySchema } from "./storey";
import { type StudWall, studWallKind, studWallSchema } from "./stud-wall";
import { type WallTotals, wallTotalsKind, wallTotalsSchema } from "./wall-totals";

/** Every kind of part. A new kind is a folder here, a line in `PART_KINDS` and one in `partSchema`. */
export const PART_KINDS = {
  room: roomKind,
  "stud-wall": studWallKind,
  "masonry-wall": masonryWallKind,
  pier: pierKind,
  length: lengthKind,
  area: areaKind,
  spots: spotsKind,
  storey: storeyKind,
  "wall-totals": wallTotalsKind,
} as const;

export const partSchema = z.discriminatedUnion("kind", [
  roomSchema,
  studWallSchema,
  masonryWallSchema,
  pierSchema,
  lengthSchema,
  areaSchema,
  spotsSchema,
  storeySchema,
  wallTotalsSchema,
]);
export type Part = Room | StudWall | MasonryWall | Pier | LengthPart | AreaPart | SpotsPart | StoreyPart | WallTotals;

/** The kind of a part. Its functions take the part it was asked for. */
export function kindOf<P extends Part>(part: P): PartKind<P> {
  // The registry is keyed by the literal that `part.kind` is; the compiler cannot follow that through a union.
  return PART_KINDS[part.kind] as unknown as PartKind<P>;
}

/** The kind of part that assemblies for a part are written for. */
export const assemblyKindOf = (part: Part): string => kindOf(part).assembliesFor ?? part.kind;

/** The same part, with the assemblies it is built by and those that apply to it changed. */
export function withAssemblies<P extends Part>(part: P, change: (ref: AssemblyRef) => AssemblyRef): P {
  const { slot } = kindOf(part);
  const uses = part.uses.map((use) => ({ ...use, assembly: change(use.assembly) }));
  const used = { ...part, uses };
  return slot ? slot.fill(used, change(slot.of(part).assembly)) : used;
}

/** Every assembly that a part names: what builds it, and what applies to it. */
export function assembliesOf(part: Part): readonly AssemblyRef[] {
  const { slot } = kindOf(part);
  const applied = part.uses.map((use) => use.assembly);
  return slot ? [slot.of(part).assembly, ...applied] : applied;
}

/** A kind of part as seen by what does not mind which it is. */
type AnyKind = Omit<PartKind<never>, "kind"> & { readonly kind: Part["kind"] };

/** Every kind of part, in the order of the registry. */
// What takes a part is not called through these; the rest of a kind is alike for all.
export const partKinds = (): readonly AnyKind[] => Object.values(PART_KINDS) as unknown as readonly AnyKind[];

const ROLES: ReadonlyMap<string, Role> = new Map(
  partKinds().flatMap(({ roles }) => roles.map((role) => [role.id, role] as const)),
);

/** A role by its id, whatever kind of part it is of. */
export const roleOf = (id: string): Role | undefined => ROLES.get(id);

/** The choices that slots of any kind ask for. */
export const SLOT_PARAMETERS: readonly SlotParameter[] = partKinds().flatMap((kind) =>
  kind.assembliesFor ? [] : [...(kind.slot?.parameters ?? [])],
);
