import { choicesSlot } from "../../parts/choicesSlot";
import { DECK_PARAMETERS, type DeckChoices, deckChoicesSchema, usualDeck } from "./choices";
import type { Deck } from "./schema";

export const deckSlot = choicesSlot<DeckChoices, Deck>({
  id: "joists",
  words: "Built by this assembly",
  changeWords: "Change the assembly that builds it",
  question: "What is this deck built of?",
  moreWords: "beams and posts, boards, guard, stairs",
  parameters: DECK_PARAMETERS,
  read: (values) => deckChoicesSchema.parse(values),
  usual: usualDeck,
});
