import { atMost, LARGEST_SIDE_NM } from "../../parts/limits";
import type { PartContext } from "../../parts/partKind";
import { type Problem, problem } from "../../problems/problem";
import { metres } from "../../units";
import { deckDimensions, isOfDecks } from "./figures";
import type { Deck } from "./schema";

/** Decks are lower, and stairs up to them. */
const HIGHEST_NM = metres(30);

/** What keeps a deck's own figures from being anything at all. */
export function deckProblems(deck: Deck, context: PartContext): Problem[] {
  return (
    deckDimensions(deck, [], context)
      // What follows another figure is that figure's matter.
      .filter(({ path, follows }) => isOfDecks(path) && !follows)
      .flatMap(({ path, label, of, dimension }): Problem[] => {
        const { valueNm } = dimension;
        if (valueNm === null) return [];
        const name = of ? `${of}: ${label.toLowerCase()}` : label;
        const fromNothing = path.endsWith(".along");
        if (fromNothing ? valueNm < 0 : valueNm <= 0)
          return [problem("not-positive", path, `${name} is ${fromNothing ? "at least zero" : "more than zero"}.`)];
        const most = path.endsWith("rise") ? HIGHEST_NM : LARGEST_SIDE_NM;
        return atMost(path, name, dimension, most, context.system);
      })
  );
}
