import type { WallOnPlan } from "../wall";
import type { Part } from "./registry";

/** Parts that stand as upright walls, by themselves or on the plan, of whatever they are built. */
export type WallPart = Extract<Part, { readonly plan: WallOnPlan | null }>;
export const isWallPart = (part: Part): part is WallPart => "plan" in part && "meetings" in part;
