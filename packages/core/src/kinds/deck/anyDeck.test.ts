import fc from "fast-check";
import { countPart } from "../../count";
import { isFraming, type Piece } from "../../drawing/piece";
import { ALONE } from "../../parts/partKind";
import { contexts, library } from "../../testing/library";
import { inches } from "../../units";
import { stringersIn } from "./build/flights";
import { balustersIn } from "./build/guard";
import { deckKind } from "./index";
import { boardRows, rowCount } from "./rows";
import type { Deck, DeckStair } from "./schema";
import { newStair, stairStepsOf } from "./stairs";

const of = (nm: number) => ({ valueNm: nm, typed: "", assumed: false });
const none = { valueNm: null, typed: "", assumed: false };

type Given = { readonly along: number; readonly width: number; readonly edge: number; readonly rise: number | null };
const stair = ({ along, width, edge, rise }: Given, index: number): DeckStair => ({
  id: `s${index}`,
  edgeId: `e${edge}`,
  along: of(inches(along)),
  width: of(inches(width)),
  rise: rise === null ? none : of(inches(rise)),
});

const arbitraryStair = fc.record({
  along: fc.integer({ min: 0, max: 400 }),
  width: fc.integer({ min: 1, max: 200 }),
  // Sides that there are, and one that is gone.
  edge: fc.integer({ min: 0, max: 7 }),
  rise: fc.option(fc.integer({ min: 1, max: 300 })),
});

/** Rectangles and Ls of any size, at any height, walked either way round, with stairs that may lie anywhere. */
const arbitraryDeck: fc.Arbitrary<Deck> = fc
  .record({
    wide: fc.integer({ min: 30, max: 400 }),
    deep: fc.integer({ min: 30, max: 300 }),
    notch: fc.option(fc.record({ wide: fc.integer({ min: 5, max: 25 }), deep: fc.integer({ min: 5, max: 25 }) })),
    turn: fc.constantFrom(90, -90),
    runs: fc.constantFrom("along" as const, "across" as const),
    rise: fc.option(fc.integer({ min: 1, max: 200 })),
    atHouse: fc.subarray(["e0", "e1", "e2", "e3", "e4"]),
    stairs: fc.array(arbitraryStair, { maxLength: 3 }),
    frameBoards: fc.integer({ min: 0, max: 3 }),
    lastBoard: fc.constantFrom("ripped", "opened"),
    boardsFrom: fc.constantFrom("near", "far"),
    overhang: fc.constantFrom(0, 1, 3),
    guardOn: fc.option(fc.subarray(["e0", "e1", "e2", "e3", "gone"])),
  })
  .map((given): Deck => {
    const { wide, deep, notch, turn } = given;
    const legs = notch
      ? [
          [wide, turn],
          [deep - notch.deep, turn],
          [notch.wide, -turn],
          [notch.deep, turn],
          [wide - notch.wide, turn],
          [deep, turn],
        ]
      : [
          [wide, turn],
          [deep, turn],
          [wide, turn],
          [deep, turn],
        ];
    return {
      ...deckKind.defaults("deck", "Deck", contexts.imperial),
      edges: legs.map(([inch = 0, turnDegrees = 90], index) => ({
        id: `e${index}`,
        length: of(inches(inch)),
        turnDegrees,
        bears: null,
      })),
      runs: given.runs,
      rise: given.rise === null ? none : of(inches(given.rise)),
      atHouse: given.atHouse,
      stairs: given.stairs.map(stair),
      guardOn: given.guardOn,
      choices: {
        frameBoards: given.frameBoards,
        lastBoard: given.lastBoard,
        boardsFrom: given.boardsFrom,
        boardOverhang: inches(given.overhang),
      },
    };
  });

type Box = { readonly x0: number; readonly x1: number; readonly y0: number; readonly y1: number };
const boxOf = ({ xNm, yNm, widthNm, heightNm }: Piece): Box => ({
  x0: xNm,
  x1: xNm + widthNm,
  y0: yNm,
  y1: yNm + heightNm,
});
/** Less is the rounding of a corner. */
const HAIR_NM = 2000;
const overlap = (a: Box, b: Box): boolean =>
  a.x0 < b.x1 - HAIR_NM && b.x0 < a.x1 - HAIR_NM && a.y0 < b.y1 - HAIR_NM && b.y0 < a.y1 - HAIR_NM;

const numRuns = 60;

describe("any deck", () => {
  it("is counted without a fault: every piece has an id of its own and a length, every figure is one", () => {
    fc.assert(
      fc.property(arbitraryDeck, (deck) => {
        const { pieces, lines } = countPart(deck, "imperial", library);
        expect(new Set(pieces.map(({ id }) => id)).size).toBe(pieces.length);
        for (const piece of pieces.filter(isFraming)) expect(piece.cutLengthNm).toBeGreaterThan(0);
        // A span past the last row of a table is told, and its line waits.
        for (const { quantity, missing } of lines) expect(quantity > 0 || missing !== undefined).toBe(true);
        for (const value of Object.values(deckKind.quantities(deck, ALONE))) expect(Number.isFinite(value)).toBe(true);
      }),
      { numRuns },
    );
  });

  it("has no two boards of its rows in one place, and none narrower or longer than the deck", () => {
    fc.assert(
      fc.property(arbitraryDeck, (deck) => {
        const boxes = countPart(deck, "imperial", library)
          .pieces.filter(({ role }) => role === "deck-board")
          .map(boxOf);
        expect(boxes.some((a, index) => boxes.slice(index + 1).some((b) => overlap(a, b)))).toBe(false);
      }),
      { numRuns },
    );
  });

  it("has no two posts of its guard in one place", () => {
    fc.assert(
      fc.property(arbitraryDeck, (deck) => {
        const boxes = countPart({ ...deck, stairs: [] }, "imperial", library)
          .pieces.filter(({ role }) => role === "guard-post")
          .map(boxOf);
        const [inch] = [inches(0.75)];
        const within = boxes.map(({ x0, x1, y0, y1 }) => ({
          x0: x0 + inch,
          x1: x1 - inch,
          y0: y0 + inch,
          y1: y1 - inch,
        }));
        expect(within.some((a, index) => within.slice(index + 1).some((b) => overlap(a, b)))).toBe(false);
      }),
      { numRuns },
    );
  });

  it("counts the same walked the other way round, with its stairs where they were", () => {
    fc.assert(
      fc.property(arbitraryDeck, (deck) => {
        const back: Deck = {
          ...deck,
          // The mirror image: turns the other way, lengths in the same order.
          edges: deck.edges.map((edge) => ({ ...edge, turnDegrees: -edge.turnDegrees })),
        };
        const lines = (each: Deck) =>
          countPart(each, "imperial", library).lines.map(({ rule, quantity }) => [rule, Number(quantity.toFixed(6))]);
        expect(lines(back)).toEqual(lines(deck));
      }),
      { numRuns },
    );
  });
});

describe("arithmetic of a deck", () => {
  it("rows fill the depth exactly: whole boards, their gaps, and what is ripped", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400_000 }),
        fc.integer({ min: 20_000, max: 200_000 }),
        fc.integer({ min: 0, max: 20_000 }),
        fc.constantFrom("ripped" as const, "opened" as const),
        (depth, width, gap, lastBoard) => {
          const [depthNm, widthNm, boardGap] = [depth * 10_000, width * 1000, gap * 1000];
          const rows = boardRows(depthNm, widthNm, { boardGap, lastBoard });
          const count = rowCount(rows);
          const fills = rows.whole * widthNm + rows.rippedNm + Math.max(0, count - 1) * rows.gapNm;
          // What is left may be a gap at the end, or nearly none of a board.
          expect(depthNm - fills).toBeGreaterThanOrEqual(-500_000);
          expect(depthNm - fills).toBeLessThanOrEqual(Math.max(500_000, boardGap + 500_000));
          expect(rows.gapNm).toBeGreaterThanOrEqual(boardGap - 500_000);
        },
      ),
    );
  });

  it("balusters: so few that one less would let the ball through", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 3000 }),
        fc.integer({ min: 10, max: 60 }),
        fc.integer({ min: 25, max: 150 }),
        (clear, thick, ball) => {
          const count = balustersIn(clear, thick, ball);
          const gap = (many: number) => (clear - many * thick) / (many + 1);
          expect(gap(count)).toBeLessThan(ball);
          if (count > 0) expect(gap(count - 1)).toBeGreaterThanOrEqual(ball);
        },
      ),
    );
  });

  it("risers: none higher than the most, and as few as that takes; together they are the rise", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200_000 }), fc.integer({ min: 100, max: 300 }), (rise, most) => {
        const choices = { riserMost: most * 1_000_000, treadGoing: 250_000_000 };
        const steps = stairStepsOf(newStair("s", "a", "metric"), { rise: of(rise * 1000) }, choices);
        if (!steps) throw new Error("no steps");
        expect(steps.riserNm).toBeLessThanOrEqual(choices.riserMost + 1);
        if (steps.risers > 1) expect(steps.riseNm / (steps.risers - 1)).toBeGreaterThan(choices.riserMost);
        expect(steps.risers * steps.riserNm).toBeCloseTo(rise * 1000, 0);
        expect(steps.treads).toBe(steps.risers - 1);
      }),
    );
  });

  it("stringers: two at least, and none further apart than the most", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 200, max: 1500 }), (width, most) => {
        const count = stringersIn(width, 38, most);
        expect(count).toBeGreaterThanOrEqual(2);
        expect((width - 38) / (count - 1)).toBeLessThanOrEqual(most + 0.01);
      }),
    );
  });
});
