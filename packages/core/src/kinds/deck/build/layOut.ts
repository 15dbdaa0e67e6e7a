import type { Assembly } from "../../../assemblies";
import type { Layout, Site } from "../../../layouts";
import { type LaidJoists, type Longest, MOST_JOIST_PIECES } from "../../../layouts/joists";
import { sectionOf } from "../../../parts/section";
import { type Problem, problem } from "../../../problems/problem";
import { formatLength } from "../../../units";
import { joistWords, laidOnJoists } from "../../floor/build/laidOnJoists";
import { manyWords } from "../../raft/build/layOut";
import { DECK_PARAMETERS, type DeckChoices, deckChoicesOf } from "../choices";
import { drawDeck } from "../draw";
import { OVER_JOISTS } from "../roles";
import type { Deck } from "../schema";
import { guardSides, standingNm, withBearings } from "../sides";
import { flightsOf } from "../stairs";
import { type LaidBoards, layBoards } from "./boards";
import { expectedOfDeck } from "./expected";
import { layStairs } from "./flights";
import { layGuard } from "./guard";
import { deckTold } from "./warnings";

/** Boards carry by a figure of their own, no wall stands on a deck, and its joists lie against the house. */
const NOT_OF_DECKS = {
  panelSpan: Number.MAX_SAFE_INTEGER,
  strapSpacing: 0,
  wallGap: 0,
  doubleUnderWalls: false,
} as const;

const tooMany = ({ name }: Deck): Problem =>
  problem(
    "too-many-pieces",
    "",
    `${name} would take more than ${MOST_JOIST_PIECES.toLocaleString("en")} boards, balusters and pieces of stairs: they are not laid. Check the unit of its figures.`,
  );

/** Lays out a deck: its joists and what carries them, boards, guard, stairs. */
export function layOutDeck(entered: Deck, assembly: Assembly, site: Site): Layout {
  const { context } = site;
  const choices = deckChoicesOf(entered, context.system);
  const deck = built(entered, choices, site);
  const many = expectedOfDeck(deck, choices, context) > MOST_JOIST_PIECES;
  const laidBoards = new WeakMap<LaidJoists, LaidBoards>();
  const boardsOf = (laid: LaidJoists, longest: Longest): LaidBoards => {
    const boards = layBoards(laid, deck, choices, longest);
    laidBoards.set(laid, boards);
    return boards;
  };
  return laidOnJoists(deck, assembly, site, {
    parameters: DECK_PARAMETERS,
    without: NOT_OF_DECKS,
    more: (laid, longest) => {
      if (many) return [];
      const boards = boardsOf(laid, longest);
      const guard = layGuard(laid.plan, deck, choices);
      return [...boards.pieces, ...guard.pieces, ...layStairs(laid.plan, deck, choices, guard.posts)];
    },
    words: (laid) => deckWords(deck, laid, choices, site),
    told: (laid) => {
      const boards = laidBoards.get(laid);
      return boards ? deckTold(deck, choices, laid, boards) : [tooMany(deck)];
    },
    panelsAre: "Deck",
    draw: () => drawDeck(deck, context),
    over: OVER_JOISTS,
  });
}

/** With what its edges bear on, and what its posts stand on. */
function built(deck: Deck, choices: DeckChoices, { context }: Site): Deck {
  const valueNm = standingNm(deck, choices, context);
  return { ...withBearings(deck, choices), standing: { ...deck.standing, valueNm } };
}

/** What it is called in the quote, and what its boards, its guard and its stairs are. */
function deckWords(deck: Deck, laid: LaidJoists | undefined, choices: DeckChoices, { context }: Site) {
  const say = (nm: number) => formatLength(Math.round(nm), context.system);
  const flights = flightsOf(deck, choices).filter(({ treads }) => treads > 0);
  const stairs = flights.map(({ risers, riserNm }) => `${manyWords(risers)} risers of ${say(riserNm)}`);
  return {
    ...joistWords(deck, laid, context.system),
    boardWords: sectionOf(context.sections, choices.boardSection).name,
    stairWords: stairs.join(" and one of "),
    guardWords: guardSides(deck, choices).length > 0 ? say(choices.guardHigh) : "",
  };
}
