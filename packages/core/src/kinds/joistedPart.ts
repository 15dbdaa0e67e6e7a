import type { Deck } from "./deck";
import { isDeck } from "./deck/isDeck";
import type { FlatRoof } from "./flat-roof";
import { isFlatRoof } from "./flat-roof/isFlatRoof";
import type { Floor } from "./floor";
import { isFloor } from "./floor/isFloor";
import type { Part } from "./registry";

/** Parts that are laid of joists over an outline: they have openings, supports, panels, and lie over the plan alike. */
export type JoistedPart = Floor | FlatRoof | Deck;

export const isJoistedPart = (part: Part): part is JoistedPart => isFloor(part) || isFlatRoof(part) || isDeck(part);
