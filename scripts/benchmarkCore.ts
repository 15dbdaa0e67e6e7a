import { countJob, inches, partContext, type StudWall, studWallKind } from "@wide-porch/core";
import { library } from "@wide-porch/library";

/** A house of 60 walls with 40 openings: how long one full count takes. */
const WALLS = 60;
const OPENINGS = 40;
const ROUNDS = 200;
const context = partContext("imperial", library);
const fixed = (count: number) => ({ valueNm: inches(count), typed: "", assumed: false });

function wall(index: number): StudWall {
  const start = studWallKind.defaults(`wall-${index}`, `Wall ${index}`, context);
  const opening = {
    id: "o",
    kind: "window",
    name: "Window",
    width: fixed(36),
    height: fixed(48),
    sill: fixed(34),
    position: fixed(60),
  } as const;
  const parameters = {
    ...start.parameters,
    bearing: { value: index % 3 === 0, assumed: false },
    sheathed: { value: index % 2 === 0, assumed: false },
  };
  return { ...start, parameters, length: fixed(120 + 12 * (index % 14)), openings: index < OPENINGS ? [opening] : [] };
}

const walls = Array.from({ length: WALLS }, (_, index) => wall(index));
const times: number[] = [];
let pieces = 0;
for (let round = 0; round < ROUNDS; round += 1) {
  const start = performance.now();
  const counts = countJob(walls, "imperial", library);
  times.push(performance.now() - start);
  pieces = counts.reduce((sum, count) => sum + count.pieces.length, 0);
}
times.sort((a, b) => a - b);
const at = (share: number) => (times[Math.ceil(times.length * share) - 1] ?? 0).toFixed(2);
process.stdout.write(
  `${WALLS} walls, ${OPENINGS} openings, ${pieces} pieces`.padEnd(52) +
    ` median ${at(0.5)}  p95 ${at(0.95)}  worst ${at(1)} ms  (aim: under 30)\n`,
);
