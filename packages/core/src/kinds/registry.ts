import { z } from "zod";
import type { PartKind } from "../parts/partKind";
import type { Role } from "../parts/role";
import type { SlotParameter } from "../parts/slot";
import type { AssemblyRef } from "../parts/use";
import { areaKind } from "./area";
import { deckKind } from "./deck";
import { flatRoofKind } from "./flat-roof";
import { floorKind } from "./floor";
import { footingKind } from "./footing";
import { lengthKind } from "./length";
import { masonryWallKind } from "./masonry-wall";
import { padKind } from "./pad";
import { pierKind } from "./pier";
import { raftKind } from "./raft";
import { roofKind } from "./roof";
import { roofTimbersKind } from "./roof-timbers";
import { roofTotalsKind } from "./roof-totals";
import { roomKind } from "./room";
import { slabKind } from "./slab";
import { spotsKind } from "./spots";
import { storeyKind } from "./storey";
import { studWallKind } from "./stud-wall";
import { surfaceKind } from "./surface";
import { wallTotalsKind } from "./wall-totals";
import { waterproofingKind } from "./waterproofing";

/** Every kind of part. A new kind is a folder here and a line in this list. */
export const PART_KINDS = {
  room: roomKind,
  "stud-wall": studWallKind,
  "masonry-wall": masonryWallKind,
  pier: pierKind,
  roof: roofKind,
  floor: floorKind,
  "flat-roof": flatRoofKind,
  deck: deckKind,
  raft: raftKind,
  slab: slabKind,
  footing: footingKind,
  pad: padKind,
  waterproofing: waterproofingKind,
  length: lengthKind,
  area: areaKind,
  spots: spotsKind,
  surface: surfaceKind,
  storey: storeyKind,
  "wall-totals": wallTotalsKind,
  "roof-totals": roofTotalsKind,
  "roof-timbers": roofTimbersKind,
} as const;

type Kinds = typeof PART_KINDS;
type PartOf<K> = K extends { readonly schema: z.ZodType<infer P> } ? P : never;

/** A part of any kind. */
export type Part = PartOf<Kinds[keyof Kinds]>;

type OnePart = z.ZodType<Part> & z.core.$ZodTypeDiscriminable;

/** Each kind's schema is of an object with its kind's name in it, which the compiler does not see through its type. */
const SCHEMAS = Object.values(PART_KINDS).map(({ schema }) => schema) as unknown as [OnePart, ...OnePart[]];

export const partSchema: z.ZodType<Part> = z.discriminatedUnion("kind", SCHEMAS);

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
