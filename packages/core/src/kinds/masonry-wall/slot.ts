import { choicesInForce, choicesSlot, type WithChoices } from "../../parts/choicesSlot";
import type { Slot, SlotParameter } from "../../parts/slot";
import { MASONRY_PARAMETERS, type MasonryChoices, masonryChoicesSchema, usualMasonry } from "./parameters";

/** What a wall and a pier of masonry have alike. */
export type Built = WithChoices<MasonryChoices>;

/** The choices in force; the usual ones while nothing has been settled. */
export const choicesOf = choicesInForce<MasonryChoices>({ parameters: MASONRY_PARAMETERS, usual: usualMasonry });

/** What a wall or a pier is built of, with the choices that come to something on it. */
export const masonrySlot = <P extends Built>(parameters: readonly SlotParameter[], moreWords: string): Slot<P> =>
  choicesSlot<MasonryChoices, P>({
    id: "masonry",
    question: "What is this built of?",
    words: "Built by this assembly",
    changeWords: "Change the assembly that builds it",
    moreWords,
    parameters,
    read: (values) => masonryChoicesSchema.parse(values),
    usual: usualMasonry,
  });
