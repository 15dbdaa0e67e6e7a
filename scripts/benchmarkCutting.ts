import {
  type CutList,
  cutInSteps,
  cutQuickly,
  feet,
  inches,
  type NeededPiece,
  type Stock,
} from "@wide-porch/core/reckoning";

/**
 * Twenty made-up jobs of 2,000 pieces over seven stock lengths: how far above the proven bound each list is, and how long it
 * took. Every other job is cut like a frame, from few lengths many times; the others from many lengths.
 */
const JOBS = 20;
const PIECES = 2000;
const STOCK: Stock[] = [8, 10, 12, 14, 16, 18, 20].map((each) => ({ lengthNm: feet(each), cost: feet(each) }));
const SETTINGS = { kerfNm: inches(0.125), endTrimNm: 0 };

/** A small generator, so that the jobs are the same on every machine (Park and Miller, 1988). */
function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
}

function job(index: number): NeededPiece[] {
  const next = random(index + 1);
  const sixteenths = (from: number, to: number) => inches(Math.round((from + next() * (to - from)) * 16) / 16);
  const framed = index % 2 === 0;
  const lengths = Array.from({ length: framed ? 12 + 4 * index : 0 }, () => sixteenths(6, 190));
  const studs = [inches(92.625), inches(104.625)];
  return Array.from({ length: PIECES }, (_, piece) => {
    const some = lengths[Math.floor(next() * lengths.length)] ?? 0;
    const lengthNm = framed ? (next() < 0.4 ? (studs[index % 4 === 0 ? 0 : 1] ?? 0) : some) : sixteenths(6, 220);
    return { id: String(piece), lengthNm };
  });
}

/** First fit, longest first, into the longest stock, each bar traded for the shortest that holds it. */
function firstFitDecreasing(pieces: readonly NeededPiece[]): number {
  const open: number[] = [];
  const longest = feet(20) + SETTINGS.kerfNm;
  for (const { lengthNm } of pieces.toSorted((a, b) => b.lengthNm - a.lengthNm)) {
    const size = lengthNm + SETTINGS.kerfNm;
    const at = open.findIndex((used) => used + size <= longest);
    if (at < 0) open.push(size);
    else open[at] = (open[at] ?? 0) + size;
  }
  return open.reduce(
    (sum, used) => sum + (STOCK.find((each) => each.lengthNm + SETTINGS.kerfNm >= used)?.lengthNm ?? 0),
    0,
  );
}

const above = (list: CutList, bound: number): string => `${((100 * (list.boughtNm - bound)) / bound).toFixed(3)} %`;

function timed<T>(work: () => T): { ms: number; value: T } {
  const start = performance.now();
  const value = work();
  return { ms: performance.now() - start, value };
}

function runToEnd(pieces: NeededPiece[]): CutList {
  const steps = cutInSteps(pieces, STOCK, SETTINGS);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}

const pad = (cells: readonly string[]): string => cells.map((cell) => cell.padStart(13)).join("");
const out = (line: string) => process.stdout.write(`${line}\n`);

out("Cut lists of 2,000 pieces over 7 stock lengths (aims: quick within 2 % in 200 ms, full within 0.5 % in 2 s)");
out(pad(["job", "lengths", "first fit", "quick", "ms", "full", "ms"]));
// Once before the clock runs, as a worker has done by the second list.
runToEnd(job(0));
const rows = Array.from({ length: JOBS }, (_, index) => {
  const pieces = job(index);
  const quick = timed(() => cutQuickly(pieces, STOCK, SETTINGS));
  const full = timed(() => runToEnd(pieces));
  const { bound } = full.value;
  const first = firstFitDecreasing(pieces);
  const lengths = new Set(pieces.map((piece) => piece.lengthNm)).size;
  out(
    pad([
      String(index + 1),
      String(lengths),
      `${((100 * (first - bound)) / bound).toFixed(3)} %`,
      above(quick.value, bound),
      quick.ms.toFixed(0),
      above(full.value, bound),
      full.ms.toFixed(0),
    ]),
  );
  return {
    quick: (quick.value.boughtNm - bound) / bound,
    quickMs: quick.ms,
    full: (full.value.boughtNm - bound) / bound,
    fullMs: full.ms,
    worse: Math.max(quick.value.boughtNm, full.value.boughtNm) > first,
  };
});
const worst = (pick: (row: (typeof rows)[number]) => number) => Math.max(...rows.map(pick));
out(
  `worst: quick ${(100 * worst((row) => row.quick)).toFixed(3)} % in ${worst((row) => row.quickMs).toFixed(0)} ms, ` +
    `full ${(100 * worst((row) => row.full)).toFixed(3)} % in ${worst((row) => row.fullMs).toFixed(0)} ms; ` +
    `worse than first fit in ${rows.filter((row) => row.worse).length} of ${JOBS}`,
);
