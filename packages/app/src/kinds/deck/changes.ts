import { type Deck, isDeck } from "@wide-porch/core";
import type { JoistPanelProps } from "../../joists/changes";

/** What every panel of a deck is given: the deck as it was entered, and as it is settled and lies now. */
export type DeckPanelProps = JoistPanelProps & { readonly deck: Deck };

/** Makes a change of a deck. */
export const deckChange =
  ({ onChange }: Pick<JoistPanelProps, "onChange">) =>
  (to: (now: Deck) => Deck): boolean =>
    onChange((now) => (isDeck(now) ? to(now) : now));
