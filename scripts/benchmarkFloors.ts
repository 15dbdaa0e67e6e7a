import {
  bestPanelsOf,
  countPart,
  type Deck,
  deckKind,
  type Floor,
  type FloorOpening,
  feet,
  floorKind,
  measured,
  newStair,
  partContext,
} from "@wide-porch/core/reckoning";
import { library } from "@wide-porch/library";

/** How long a large floor takes: counted anew with its drawing, as its first joist moves, and the search for where its panels begin. */
const ROUNDS = 300;

function report(what: string, taken: readonly number[], aim: number): void {
  const sorted = taken.toSorted((a, b) => a - b);
  const at = (share: number) => (sorted[Math.ceil(sorted.length * share) - 1] ?? 0).toFixed(2);
  console.log(`${what}: median ${at(0.5)} ms, p95 ${at(0.95)} ms (aim ${aim} ms)`);
}

function times(rounds: number, work: (round: number) => void): number[] {
  return Array.from({ length: rounds }, (_, round) => {
    const start = performance.now();
    work(round);
    return performance.now() - start;
  });
}

const openingAt = (id: string, along: number, off: number, length: number, width: number): FloorOpening => ({
  id,
  kind: "stair",
  along: measured(feet(along), ""),
  off: measured(feet(off), ""),
  length: measured(feet(length), ""),
  width: measured(feet(width), ""),
  measuredAs: "framed",
  headers: "by-rule",
  runThrough: false,
});

/** 60 x 40 ft on two walls below, with two stairs and a chimney in it. */
const floorOf = (round: number): Floor => {
  const floor = floorKind.defaults("floor", "Floor", partContext("imperial", library));
  return {
    ...floor,
    edges: floor.edges.map((edge, index) => ({ ...edge, length: measured(feet(index % 2 === 0 ? 60 : 40), "") })),
    openings: [openingAt("a", 8, 4, 10, 3.5), openingAt("b", 30, 17, 4, 4), openingAt("c", 44, 28, 3.5, 9)],
    supports: [13, 27].map((at) => ({ id: `s${at}`, kind: "wall" as const, at: measured(feet(at), "") })),
    firstJoist: measured(feet(1) + round * 1_000_000, ""),
    choices: { overSupport: "in-line", blocking: "one" },
  };
};

/** 40 x 16 ft, 5 ft up, with two stairs. */
const deckOf = (round: number): Deck => {
  const deck = deckKind.defaults("deck", "Deck", partContext("imperial", library));
  const stair = (id: string, along: number) => ({
    ...newStair(id, "c", "imperial"),
    along: measured(feet(along), ""),
    width: measured(feet(4), ""),
  });
  return {
    ...deck,
    edges: deck.edges.map((edge, index) => ({ ...edge, length: measured(feet(index % 2 === 0 ? 40 : 16), "") })),
    rise: measured(feet(5) + round * 1_000_000, ""),
    stairs: [stair("one", 4), stair("two", 30)],
  };
};

const { pieces } = countPart(floorOf(0), "imperial", library);
report(
  `a floor of 60 x 40 ft with three openings recounted and drawn, ${pieces.length} pieces`,
  times(ROUNDS, (round) => countPart(floorOf(round), "imperial", library).drawing).slice(50),
  10,
);
report(
  "the best start of its panels",
  times(5, (round) => bestPanelsOf(floorOf(round), "imperial", library)),
  1000,
);
report(
  `a deck of 40 x 16 ft with two stairs recounted and drawn, ${countPart(deckOf(0), "imperial", library).pieces.length} pieces`,
  times(ROUNDS, (round) => countPart(deckOf(round), "imperial", library).drawing).slice(50),
  10,
);
