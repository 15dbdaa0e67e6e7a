import type { WallOnPlan } from "../wall";
import { kindOf, type Part } from "./registry";

/** Parts that stand as upright walls, by themselves or on the plan, of whatever they are built. */
export type WallPart = Extract<Part, { readonly plan: WallOnPlan | null }>;
export const isWallPart = (part: Part): part is WallPart => "plan" in part && "meetings" in part;

/** A wall with its openings as they are built, each at its place. */
export const placedWall = <W extends WallPart>(wall: W): W => kindOf(wall).placed?.(wall) ?? wall;
