import {
  assumedDimension,
  type Deck,
  feet,
  inches,
  newStair,
  PART_KINDS,
  type Part,
  type PartContext,
} from "@wide-porch/core";
import { entered } from "./entered";

/** Invented: the porch deck along the front of the hall under the porch roof, with a stair down to the lane. */
export function lanternDeck(newId: () => string, context: PartContext): Part[] {
  const begun = PART_KINDS.deck.defaults(newId(), "Porch deck", context);
  const deck: Deck = {
    ...begun,
    storey: "Ground",
    location: "Wrap-around porch",
    place: { xNm: inches(-6.5), yNm: feet(8) + inches(7), turnDegrees: 0 },
    // A step down from the floor of the hall.
    top: assumedDimension(inches(-2.5)),
    stairs: [newStair("steps", "c", context.system)],
    choices: { joistSection: "2x8", boardSection: "1x5.5", joistSpacing: inches(16) },
  };
  const figures = {
    "edges.a.length": "15'3",
    "edges.b.length": "7'",
    rise: "2'11",
    "stairs.steps.along": "4'6",
    "stairs.steps.width": "5'",
  };
  return [entered(deck, figures, context)];
}
