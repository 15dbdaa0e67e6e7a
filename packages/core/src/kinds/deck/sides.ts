import type { JoistEdge } from "../../joists/schema";
import { bearingOf, isUnborne, joistShape, reachOf, runsWithJoists } from "../../joists/shape";
import type { PartContext } from "../../parts/partKind";
import { ownValue } from "../../records/ownValue";
import type { Nanometres } from "../../units";
import type { DeckChoices } from "./choices";
import type { Deck } from "./schema";

export const isAtHouse = ({ atHouse }: Pick<Deck, "atHouse">, { id }: Pick<JoistEdge, "id">): boolean =>
  atHouse.includes(id);

const openIds = (deck: Deck): string[] => deck.edges.filter((edge) => !isAtHouse(deck, edge)).map(({ id }) => id);

/** Whether a deck is so high that its open sides need a guard; nothing is known of one that nobody measured. */
export const isHigh = ({ rise }: Deck, { guardPast }: Pick<DeckChoices, "guardPast">): boolean =>
  rise.valueNm !== null && rise.valueNm > guardPast;

/** Sides with a guard: as somebody said; else the open ones of a deck that is high. */
export const guardSides = (deck: Deck, choices: Pick<DeckChoices, "guardPast">): readonly string[] =>
  deck.guardOn ?? (isHigh(deck, choices) ? openIds(deck) : []);

/** Sides with boards of the frame along them: as somebody said; else the open ones. */
export const frameSides = (deck: Deck): readonly string[] => deck.frameOn ?? openIds(deck);

/** With a side put against the house, or opened: against it there is no guard and no frame. */
export function withHouse(deck: Deck, id: string, at: boolean): Deck {
  const without = (ids: readonly string[] | null) => ids?.filter((each) => !at || each !== id) ?? null;
  return {
    ...deck,
    atHouse: at ? [...deck.atHouse.filter((each) => each !== id), id] : deck.atHouse.filter((each) => each !== id),
    guardOn: without(deck.guardOn),
    frameOn: without(deck.frameOn),
  };
}

/** With what every edge bears on: a ledger along the house, a beam or what was chosen at open ends, a joist along the rest. */
export function withBearings(deck: Deck, { edgesBear }: Pick<DeckChoices, "edgesBear">): Deck {
  const beside = new Set((joistShape(deck)?.edges ?? []).filter(runsWithJoists).map(({ edge }) => edge.id));
  const edges = deck.edges.map((edge) => {
    if (edge.bears !== null) return edge;
    const bears = beside.has(edge.id) ? ("open" as const) : isAtHouse(deck, edge) ? ("ledger" as const) : edgesBear;
    return { ...edge, bears };
  });
  return { ...deck, edges };
}

/** From the top of the joists down to what its posts stand on: as it was measured, else as high as the deck is. */
export function standingNm(
  { standing, rise }: Deck,
  { boardSection }: Pick<DeckChoices, "boardSection">,
  { sections }: Pick<PartContext, "sections">,
): Nanometres | null {
  if (standing.valueNm !== null || rise.valueNm === null) return standing.valueNm;
  // Boards that are in no list are a problem of their own.
  return Math.max(0, rise.valueNm - (ownValue(sections, boardSection)?.thicknessNm ?? 0));
}

/** The longest stretch of joist between two things that carry it; 0 where there are no two. */
export function joistSpanNm(deck: Deck, choices: DeckChoices): Nanometres {
  const built = withBearings(deck, choices);
  const shape = joistShape(built);
  if (!shape) return 0;
  const { u0, u1 } = reachOf(shape.ring);
  const ends = shape.edges
    .filter((line) => !runsWithJoists(line) && !isUnborne(line.edge, { edgesBear: bearingOf(line.edge, choices) }))
    .map(({ from, to }) => Math.round((from.u + to.u) / 2));
  const between = deck.supports.flatMap(({ at }) =>
    at.valueNm !== null && at.valueNm > u0 && at.valueNm < u1 ? [at.valueNm] : [],
  );
  const bears = [...ends, ...between].toSorted((a, b) => a - b);
  return Math.max(0, ...bears.slice(1).map((at, index) => at - (bears[index] ?? at)));
}
