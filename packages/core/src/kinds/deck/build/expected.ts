import { joistShape, reachOf } from "../../../joists/shape";
import type { PartContext } from "../../../parts/partKind";
import { sectionOf } from "../../../parts/section";
import { feet } from "../../../units";
import type { DeckChoices } from "../choices";
import type { Deck } from "../schema";
import { guardSides } from "../sides";
import { flightsOf } from "../stairs";

/** Boards are sold in no shorter lengths. */
const SHORTEST_NM = feet(6);

/** About how many pieces boards, guard and stairs will come to, before any is placed. Never much fewer than there are. */
export function expectedOfDeck(deck: Deck, choices: DeckChoices, { sections }: PartContext): number {
  const shape = joistShape(deck);
  if (!shape) return 0;
  const { u0, u1, v0, v1 } = reachOf(shape.ring);
  const of = (id: string) => sectionOf(sections, id);
  const board = of(choices.boardSection).depthNm + choices.boardGap;
  const rows = (u1 - u0) / board + 1;
  const boards = rows * ((2 * (v1 - v0)) / SHORTEST_NM + deck.edges.length);
  const roundNm = deck.edges.reduce((sum, { length }) => sum + (length.valueNm ?? 0), 0);
  const blocks = roundNm / choices.joistSpacing;
  const baluster = of(choices.balusterSection).thicknessNm;
  const guard = guardSides(deck, choices).length > 0 ? roundNm / (baluster + choices.balusterGap) : 0;
  const stairs = flightsOf(deck, choices).reduce((sum, { treads, widthNm, runNm }) => {
    const stringers = widthNm / choices.stringerSpacing + 2;
    const balusters = (2 * runNm) / (baluster + choices.stairGap);
    const treadBoards = (choices.treadGoing + choices.treadNosing) / board + 1;
    return sum + stringers + balusters + treads * (treadBoards + 4);
  }, 0);
  return boards + blocks + guard + stairs;
}
