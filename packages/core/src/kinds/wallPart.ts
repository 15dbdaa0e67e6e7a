import type { PartKind } from "../parts/partKind";
import type { WallOnPlan } from "../wall";
import { type Part, partKinds } from "./registry";

/** Parts that stand as upright walls, by themselves or on the plan, of whatever they are built. */
export type WallPart = Extract<Part, { readonly plan: WallOnPlan | null }>;
export const isWallPart = (part: Part): part is WallPart => "plan" in part && "meetings" in part;

/** Every kind that a room's wall can be built as, with how it is said: `in studs`. */
export const wallKinds = (): readonly { readonly words: string; readonly kind: PartKind<WallPart> }[] =>
  partKinds().flatMap((kind) =>
    // Each makes and changes walls of its own; here they are walls like any other.
    kind.wall ? [{ words: kind.wall.words, kind: kind as unknown as PartKind<WallPart> }] : [],
  );
