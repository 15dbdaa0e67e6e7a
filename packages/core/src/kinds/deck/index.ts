import { joistedKindFields, newJoisted } from "../../joists/kind";
import { newBase } from "../../parts/base";
import { type DimensionSlot, unmeasured } from "../../parts/dimension";
import { figurePoints } from "../../parts/openPointsOf";
import type { PartContext, PartKind } from "../../parts/partKind";
import { DECK_PARAMETERS, usualDeck } from "./choices";
import { drawDeck } from "./draw";
import { deckDimensions, deckSetters, isFollowing, isOfDecks } from "./figures";
import { deckProblems } from "./problems";
import { DECK_QUANTITIES, deckQuantities } from "./quantities";
import { DECK_ROLES } from "./roles";
import { type Deck, deckSchema } from "./schema";
import { deckSlot } from "./slot";
import { stairName } from "./stairs";

const fields = joistedKindFields<Deck>(
  DECK_PARAMETERS,
  { question: "What is this deck built of?", moreWords: "beams and posts, boards, guard, stairs" },
  { slot: deckSlot, usual: usualDeck },
);

/** Beside those that all joists are asked for: how high it is, and its stairs. */
const dimensions = (deck: Deck, context: PartContext): DimensionSlot[] =>
  deckDimensions(deck, fields.dimensions(deck, context), context);

export const deckKind: PartKind<Deck> = {
  ...fields,
  kind: "deck",
  label: "Deck",
  plural: "Decks",
  schema: deckSchema,
  migrations: [],
  defaults: (id, name) => ({
    kind: "deck",
    schemaVersion: 1,
    ...newBase(id, name),
    ...newJoisted(),
    // Against the house along Edge A.
    atHouse: ["a"],
    rise: unmeasured,
    guardOn: null,
    frameOn: null,
    stairs: [],
    assembly: { id: "deck", version: 1 },
  }),
  functions: [],
  roles: DECK_ROLES,
  draw: drawDeck,
  quantityNames: DECK_QUANTITIES,
  quantities: deckQuantities,
  problems: (deck, context) => [...fields.problems(deck, context), ...deckProblems(deck, context)],
  dimensions,
  withDimension: (deck, path, valueNm, typed, context) =>
    isOfDecks(path)
      ? deckSetters.withDimension(deck, path, valueNm, typed)
      : fields.withDimension(deck, path, valueNm, typed, context),
  withRefused: (deck, path, typed) =>
    isOfDecks(path) ? deckSetters.withRefused(deck, path, typed) : fields.withRefused(deck, path, typed),
  openPoints: (deck, context) => [
    // How deep its posts stand goes along with how high it is, which is asked for.
    ...fields.openPoints(deck, context).filter(({ path, kind }) => path !== "standing" || kind === "refused"),
    ...figurePoints(
      dimensions(deck, context).filter((slot) => isOfDecks(slot.path) && !isFollowing(deck, slot)),
      context.system,
    ),
  ],
  nameOfItem: (deck, id) => stairName(deck, id) ?? fields.nameOfItem?.(deck, id),
};

export { type DeckChoices, deckChoicesOf } from "./choices";
export { rowsOfDeck } from "./field";
export { type BoardRows, rowCount } from "./rows";
export * from "./schema";
export { frameSides, guardSides, isAtHouse, isHigh, withHouse } from "./sides";
export { flightsOf, newStair, type StairSteps, stairName, stairStepsOf } from "./stairs";
