import { type Deck, PART_KINDS } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const deckFace: KindFace<Deck> = {
  group: "Floors and decks",
  starts: [
    {
      label: "Deck",
      words: "Outside: joists, beams and posts, boards, guard, stairs",
      noun: "Deck",
      make: PART_KINDS.deck.defaults,
      figure: "edges.a.length",
    },
  ],
  Screen: lazy(() => import("./DeckScreen")),
};
