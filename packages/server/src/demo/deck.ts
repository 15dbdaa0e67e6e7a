import {
  alongSide,
  assumedDimension,
  type Deck,
  footprintEdges,
  inches,
  isRoom,
  newStair,
  PART_KINDS,
  type Part,
  type PartContext,
  planJob,
  resolveJoisted,
} from "@wide-porch/core";
import { entered } from "./entered";

/** The wall of the hall towards the lane. */
const FRONT = "a";

/** The side of the house along a wall of a room, as the plan has it. Throws for one there is not. */
function sideOf(name: string, faceId: string, parts: readonly Part[]) {
  const room = parts.filter(isRoom).find((each) => each.name === name);
  const storey = planJob(parts).storeys.find((each) => each.name === room?.storey);
  const side = storey && footprintEdges(storey).find((each) => each.roomId === room?.id && each.faceId === faceId);
  if (!side) throw new Error(`demo: the house has no side along wall "${faceId}" of "${name}"`);
  return { roomId: side.roomId, side: side.id.slice(side.roomId.length + 1), lengthNm: side.lengthNm };
}

/** Invented: the porch deck along the front of the hall under the porch roof, with a stair down to the lane. */
export function lanternDeck(parts: readonly Part[], newId: () => string, context: PartContext): Part[] {
  const begun = PART_KINDS.deck.defaults(newId(), "Porch deck", context);
  const deck: Deck = {
    ...begun,
    storey: "Ground",
    location: "Wrap-around porch",
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
  const { found: _, ...laid } = resolveJoisted(
    alongSide(entered(deck, figures, context), sideOf("Hall", FRONT, parts)),
    planJob(parts),
  );
  return [laid];
}
