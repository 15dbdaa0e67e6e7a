import { type JoistEdgeUV, joistShape, reachOf } from "../../joists/shape";
import type { PartContext } from "../../parts/partKind";
import { ownValue } from "../../records/ownValue";
import type { Nanometres } from "../../units";
import type { DeckChoices } from "./choices";
import { isLeft, movedRing } from "./outline";
import { type BoardRows, boardRows } from "./rows";
import type { Deck } from "./schema";
import { frameSides, isAtHouse } from "./sides";

/** Where boards lie: the outside of them all, what is within so much of the frame, and what the frame leaves for rows. */
export type BoardField = {
  readonly outer: readonly JoistEdgeUV[];
  readonly within: (nm: Nanometres) => readonly JoistEdgeUV[];
  readonly field: readonly JoistEdgeUV[];
  /** Boards of the frame side by side; 0 without one, and where it would leave nothing within it. */
  readonly frameBoards: number;
  readonly frameTooWide: boolean;
};

/** Of an outline against the clock; boards hang over the rim but along the house. */
export function boardField(
  deck: Deck,
  edges: readonly JoistEdgeUV[],
  choices: DeckChoices,
  boardNm: Nanometres,
): BoardField {
  const on = new Set(frameSides(deck));
  const outer = movedRing(edges, "out", (edge) => (isAtHouse(deck, edge) ? 0 : choices.boardOverhang));
  const within = (nm: Nanometres) => movedRing(outer, "in", ({ id }) => (on.has(id) ? nm : 0));
  const asked = outer.some(({ edge }) => on.has(edge.id)) ? choices.frameBoards : 0;
  const field = within(asked * (boardNm + choices.boardGap));
  const frameTooWide = asked > 0 && !isLeft(outer, field);
  if (asked === 0 || frameTooWide) return { outer, within, field: outer, frameBoards: 0, frameTooWide };
  return { outer, within, field, frameBoards: asked, frameTooWide };
}

/** The rows of boards of a deck and how wide a board is; undefined while it does not close, or is of boards in no list. */
export function rowsOfDeck(
  deck: Deck,
  choices: DeckChoices,
  { sections }: Pick<PartContext, "sections">,
): { readonly rows: BoardRows; readonly boardNm: Nanometres; readonly depthNm: Nanometres } | undefined {
  const shape = joistShape(deck);
  const boardNm = ownValue(sections, choices.boardSection)?.depthNm;
  if (!shape || boardNm === undefined) return undefined;
  const { u0, u1 } = reachOf(boardField(deck, shape.edges, choices, boardNm).field.map(({ from }) => from));
  return { rows: boardRows(u1 - u0, boardNm, choices), boardNm, depthNm: u1 - u0 };
}
