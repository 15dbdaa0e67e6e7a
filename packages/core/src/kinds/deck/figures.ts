import type { Dimension, DimensionSlot } from "../../parts/dimension";
import { changeById, figureSetters } from "../../parts/figures";
import type { PartContext } from "../../parts/partKind";
import { edgeLetter } from "../../parts/walkedOutline";
import { deckChoicesOf } from "./choices";
import type { Deck, DeckStair } from "./schema";
import { standingNm } from "./sides";
import { stairName, stairRiseNm } from "./stairs";

const STAIR_FIGURES = ["along", "width", "rise"] as const;
type StairFigure = (typeof STAIR_FIGURES)[number];

/** Whether a path is a figure that decks have beside those of all joists. */
export const isOfDecks = (path: string): boolean => path === "rise" || path.startsWith("stairs.");

const shownAs = (own: Dimension, followedNm: number | null): Dimension =>
  own.valueNm === null && followedNm !== null ? { ...own, valueNm: followedNm, assumed: true } : own;

const stairLabel = (deck: Deck, { edgeId }: DeckStair, figure: StairFigure): string => {
  if (figure === "width") return "Width of its treads";
  if (figure === "rise") return "Rise, from what it stands on";
  const letter = edgeLetter(deck.edges, edgeId);
  return letter === "" ? "Along its side" : `Along Edge ${letter} from its start`;
};

/** Figures of all joists without those of panels, then how high the deck is and its stairs. What follows is shown with what it follows. */
export function deckDimensions(deck: Deck, joisted: readonly DimensionSlot[], context: PartContext): DimensionSlot[] {
  const own = joisted
    .filter(({ path }) => path !== "panelShift" && path !== "rowShift")
    .map((slot): DimensionSlot => {
      if (slot.path !== "standing" || deck.standing.valueNm !== null) return slot;
      const followedNm = standingNm(deck, deckChoicesOf(deck, context.system), context);
      return { ...slot, dimension: shownAs(deck.standing, followedNm), follows: followedNm !== null };
    });
  return [
    ...own,
    { path: "rise", label: "Boards above the ground, where that is most", of: "", dimension: deck.rise },
    ...deck.stairs.flatMap((stair) =>
      STAIR_FIGURES.map((figure): DimensionSlot => {
        const follows = figure === "rise" && stair.rise.valueNm === null;
        return {
          path: `stairs.${stair.id}.${figure}`,
          label: stairLabel(deck, stair, figure),
          of: stairName(deck, stair.id) ?? "",
          dimension: follows ? shownAs(stair.rise, stairRiseNm(stair, deck)) : stair[figure],
          ...(follows ? { follows } : {}),
        };
      }),
    ),
  ];
}

/** Whether nobody is asked for a figure: it goes along with another that is asked for. */
export function isFollowing(deck: Deck, { path, dimension }: DimensionSlot): boolean {
  const [, id] = /^stairs\.([^.]+)\.rise$/.exec(path) ?? [];
  const own = deck.stairs.find((stair) => stair.id === id);
  return own !== undefined && own.rise.valueNm === null && dimension.refused === undefined;
}

function changed(deck: Deck, path: string, to: (now: Dimension) => Dimension): Deck {
  if (path === "rise") return { ...deck, rise: to(deck.rise) };
  const [, id, name] = /^stairs\.([^.]+)\.([^.]+)$/.exec(path) ?? [];
  const figure = STAIR_FIGURES.find((each) => each === name);
  if (id === undefined || figure === undefined || !deck.stairs.some((each) => each.id === id))
    throw new Error(`deck: "${path}" is not one of its figures`);
  return { ...deck, stairs: changeById(deck.stairs, id, (stair) => ({ ...stair, [figure]: to(stair[figure]) })) };
}

/** Setters of what decks have beside all joists. */
export const deckSetters = figureSetters<Deck>(changed);
