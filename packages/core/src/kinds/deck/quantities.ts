import { JOIST_QUANTITIES, joistQuantities } from "../../joists/quantities";
import { joistShape } from "../../joists/shape";
import { countQuantity, lengthQuantity, type Quantity, type QuantityValues } from "../../parts/quantity";
import { type Nanometres, toMetres } from "../../units";
import { type DeckChoices, deckChoicesOf } from "./choices";
import type { Deck } from "./schema";
import { frameSides, guardSides, isAtHouse, joistSpanNm } from "./sides";
import { flightsOf } from "./stairs";

export const DECK_QUANTITIES: readonly Quantity[] = [
  ...JOIST_QUANTITIES,
  lengthQuantity("riseHigh", "Boards above the ground, where that is most", "rise"),
  lengthQuantity("houseLength", "Sides at the house"),
  lengthQuantity("openLength", "Open sides"),
  lengthQuantity("guardLength", "Sides with a guard, less stairs"),
  lengthQuantity("frameLength", "Sides with a picture frame"),
  lengthQuantity("joistSpan", "Longest span of its joists"),
  countQuantity("stairCount", "Stairs"),
  countQuantity("riserCount", "Risers of all stairs"),
  countQuantity("treadCount", "Treads of all stairs"),
];

/** Sides with a guard, less what stairs take of each. */
function guardNm(deck: Deck, choices: DeckChoices): Nanometres {
  const flights = flightsOf(deck, choices).filter(({ treads }) => treads > 0);
  const guarded = guardSides(deck, choices);
  return deck.edges
    .filter(({ id }) => guarded.includes(id))
    .reduce((sum, { id, length }) => {
      const stairs = flights.filter(({ stair }) => stair.edgeId === id).reduce((wide, each) => wide + each.widthNm, 0);
      return sum + Math.max(0, (length.valueNm ?? 0) - stairs);
    }, 0);
}

export function deckQuantities(deck: Deck): QuantityValues {
  if (!joistShape(deck)) return {};
  // A settled part has the choices it is built by.
  const choices = deckChoicesOf(deck, "imperial");
  const along = (of: (edge: Deck["edges"][number]) => boolean) =>
    toMetres(deck.edges.filter(of).reduce((sum, { length }) => sum + (length.valueNm ?? 0), 0));
  const flights = flightsOf(deck, choices).filter(({ treads }) => treads > 0);
  return {
    ...joistQuantities(deck),
    riseHigh: toMetres(deck.rise.valueNm ?? 0),
    houseLength: along((edge) => isAtHouse(deck, edge)),
    openLength: along((edge) => !isAtHouse(deck, edge)),
    guardLength: toMetres(guardNm(deck, choices)),
    frameLength: choices.frameBoards > 0 ? along(({ id }) => frameSides(deck).includes(id)) : 0,
    joistSpan: toMetres(joistSpanNm(deck, choices)),
    stairCount: flights.length,
    riserCount: flights.reduce((sum, { risers }) => sum + risers, 0),
    treadCount: flights.reduce((sum, { treads }) => sum + treads, 0),
  };
}
