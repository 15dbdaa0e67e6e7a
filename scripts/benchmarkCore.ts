import { countJob, countPart, feet } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import { house, houseWall, OPENINGS, WALLS } from "./largeHouse";

/** How long one full count of a house takes, and the count of one changed wall. */
const ROUNDS = 200;

function times(work: (round: number) => void): number[] {
  const taken = Array.from({ length: ROUNDS }, (_, round) => {
    const start = performance.now();
    work(round);
    return performance.now() - start;
  });
  return taken.toSorted((a, b) => a - b);
}

function report(what: string, taken: readonly number[], aim: number): void {
  const at = (share: number) => (taken[Math.ceil(taken.length * share) - 1] ?? 0).toFixed(2);
  process.stdout.write(
    `${what.padEnd(56)} median ${at(0.5)}  p95 ${at(0.95)}  worst ${at(1)} ms  (aim: under ${aim})\n`,
  );
}

const parts = house();
const counts = countJob(parts, "imperial", library);
const pieces = counts.reduce((sum, count) => sum + count.pieces.length, 0);
const lines = counts.reduce((sum, count) => sum + count.lines.length, 0);
report(
  `${WALLS} walls, ${OPENINGS} openings, ${pieces} pieces, ${lines} lines`,
  times(() => countJob(parts, "imperial", library)),
  30,
);
report(
  "one wall of it changed",
  times((round) => countPart(houseWall(7, feet(20) + round * 25_400_000), "imperial", library)),
  2,
);
